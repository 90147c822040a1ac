import type { Template } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Screen } from '@/features/shell';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Empty, ErrorLine, Icon, Row, useSheet } from '@/ui';
import { t } from '@/words';
import { sayAsked } from './say-template.ts';
import { TemplateSheet } from './template-sheet.tsx';
import { useImport } from './template-file.tsx';
import { useContents, useTemplates } from './use-templates.ts';

/** What is done again: each can be used as often as one likes. */
export function TemplatesScreen() {
  const templates = useTemplates();
  const router = useRouter();
  const [making, setMaking] = useSheet('new-template');
  const { choose, error } = useImport();
  return (
    <Screen title={t('templates.title')} sub={templates.length > 0 ? t('templates.count', { count: templates.length }) : undefined}>
      {templates.length === 0 ? <Empty words={t('templates.empty')} /> : null}
      {templates.map((template) => (
        <TemplateRow key={template.id} template={template} onPress={() => router.push(`/templates/${template.id}`)} />
      ))}
      <View className="flex-row flex-wrap gap-2 px-4 py-5">
        <Button icon="plus" onPress={() => setMaking(true)}>
          {t('templates.make')}
        </Button>
        <Button kind="quiet" onPress={choose}>
          {t('templates.import')}
        </Button>
      </View>
      <View className="px-4">
        <ErrorLine says={error} />
      </View>
      {making ? <TemplateSheet onClose={() => setMaking(false)} /> : null}
    </Screen>
  );
}

export function TemplateRow({ template, onPress }: { template: Template; onPress: () => void }) {
  const { rows } = useOpenHouse();
  const { items, asked } = useContents(template);
  const owner = rows.find('person', template.ownerId);
  const whose = template.isShared ? t('templates.shared') : owner === undefined ? null : t('templates.onlyYou');
  return (
    <Row
      lead={<Icon name={template.icon} size={22} colour={template.colour} />}
      title={template.name}
      sub={[template.purpose || sayAsked(asked, template), whose].filter(Boolean).join(' · ') || undefined}
      right={template.kind === 'talk' ? t('template.kind.talk') : t('template.count', { count: items.filter(({ parentId }) => parentId === null).length })}
      rightTone="muted"
      onPress={onPress}
    />
  );
}
