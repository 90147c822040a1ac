import type { Template } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { NotesText } from '@/features/item';
import { Screen } from '@/features/shell';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Icon, Txt, useSheetAt } from '@/ui';
import { t } from '@/words';
import { sayAsked } from './say-template.ts';
import { TemplateMenu } from './template-menu.tsx';
import { TemplateSheet } from './template-sheet.tsx';
import { UseTalkSheet } from './use-talk-sheet.tsx';
import { mayChangeTemplate, useContents } from './use-templates.ts';

/** A template of a talk's notes: what they begin with, and the way to begin some. */
export function TalkTemplate({ template }: { template: Template }) {
  const { me } = useOpenHouse();
  const router = useRouter();
  const { asked } = useContents(template);
  const [sheet, setSheet] = useSheetAt<'use' | 'change'>('template');
  const mayChange = mayChangeTemplate(template, me);
  const close = () => setSheet(null);
  return (
    <Screen
      title={template.name}
      sub={[t('template.kind.talk'), template.isShared ? t('templates.shared') : t('templates.onlyYou')].join(' · ')}
      lead={<Icon name={template.icon} size={22} colour={template.colour} />}
      actions={<TemplateMenu template={template} items={[]} mayChange={mayChange} onChange={() => setSheet('change')} />}
    >
      <View className="gap-4 px-4 py-3">
        {template.purpose ? <Txt>{template.purpose}</Txt> : null}
        {sayAsked(asked, template) ? <Txt tone="muted">{sayAsked(asked, template)}</Txt> : null}
        {template.text ? (
          <>
            <View className="flex-row flex-wrap gap-2">
              <Button kind="main" onPress={() => setSheet('use')}>
                {t('template.startNotes')}
              </Button>
              {mayChange ? <Button onPress={() => setSheet('change')}>{t('template.edit')}</Button> : null}
            </View>
            <NotesText>{template.text}</NotesText>
          </>
        ) : (
          <>
            <Txt tone="muted">{t('template.empty')}</Txt>
            {mayChange ? (
              <View className="items-start">
                <Button kind="main" onPress={() => setSheet('change')}>
                  {t('template.write')}
                </Button>
              </View>
            ) : null}
          </>
        )}
      </View>
      {sheet === 'use' ? (
        <UseTalkSheet template={template} onClose={close} onMade={(note) => router.push(`/people/${note.personIds[0]}?note=${note.id}`)} />
      ) : null}
      {sheet === 'change' && mayChange ? <TemplateSheet template={template} onClose={close} /> : null}
    </Screen>
  );
}
