import type { Template } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, ErrorLine, Foot, Heading, Sheet, Txt } from '@/ui';
import { OrderedNames, type OrderedName } from '@/ui/ordered-names.tsx';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';

/** The headed parts of the list that is made: named, added, taken out. What stood in one that goes stands without one. */
export function SectionsSheet({ template, onClose }: { template: Template; onClose: () => void }) {
  const { rows } = useOpenHouse();
  const submit = useSubmit();
  const [begin] = useState<OrderedName[]>(() => template.sections.map(({ id, name }) => ({ id, name })));
  const [sections, setSections, done] = useDraft(`template-sections/${template.id}`, begin);
  const [error, setError] = useState<string | null>(null);
  const left = template.sections.filter(({ id }) => !sections.some((one) => one.id === id));
  const stranded = rows.by('templateItem', 'templateId', template.id).filter(({ sectionId, removedAt }) => removedAt === null && left.some(({ id }) => id === sectionId)).length; // prettier-ignore
  const save = () => {
    const named = sections.filter(({ name }) => name.trim() !== '');
    const reason = submit('template.change', { template: template.id, sections: named }, { words: t('said.templateChanged'), undo: true, ownRefusal: true });
    if (reason) return setError(sayReason(reason));
    done();
    onClose();
  };
  const title = t('template.sections');
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-3 pt-2">
        <OrderedNames
          names={sections}
          begin={{ name: '' }}
          most={50}
          maxLength={80}
          onChange={setSections}
          words={{
            label: (count) => t('template.section', { count }),
            out: (name) => t('template.sectionOut', { name }),
            up: (name) => t('template.sectionUp', { name }),
            add: t('template.sectionAdd'),
          }}
        />
        {stranded > 0 ? <Txt tone="waits">{t('template.stranded', { count: stranded })}</Txt> : null}
        <ErrorLine says={error} />
        <Foot>
          <Button kind="main" onPress={save}>
            {t('common.save')}
          </Button>
        </Foot>
      </View>
    </Sheet>
  );
}
