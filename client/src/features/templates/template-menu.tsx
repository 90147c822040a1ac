import type { Template, TemplateItem } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Menu, type MenuEntry } from '@/ui';
import { t } from '@/words';
import { downloadTemplate } from './template-file.tsx';

interface TemplateMenuProps {
  template: Template;
  items: readonly TemplateItem[];
  mayChange: boolean;
  onChange: () => void;
  /** A list’s headed parts. */
  onSections?: () => void;
}

/** What else can be done with a template. */
export function TemplateMenu({ template, items, mayChange, onChange, onSections }: TemplateMenuProps) {
  const { rows } = useOpenHouse();
  const submit = useSubmit();
  const router = useRouter();
  const entries: MenuEntry[] = [
    ...(mayChange ? [{ key: 'change', words: t('template.change'), onPress: onChange }] : []),
    ...(mayChange && onSections && template.kind === 'list' ? [{ key: 'sections', words: t('template.sections'), onPress: onSections }] : []),
    { key: 'export', words: t('template.export'), onPress: () => downloadTemplate(template, items, rows) },
    ...(mayChange
      ? [
          {
            key: 'remove',
            words: t('template.remove'),
            late: true,
            onPress: () => {
              router.replace('/templates');
              submit('template.change', { template: template.id, removed: true }, { words: t('said.removed', { title: template.name }), undo: true });
            },
          },
        ]
      : []),
  ];
  return <Menu label={t('template.more', { name: template.name })} entries={entries} />;
}
