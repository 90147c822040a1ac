import type { Template, TemplateItem } from '@kotiva/core';
import { View } from 'react-native';
import { Screen } from '@/features/shell';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Empty, GroupHead, Icon, LongRows, Row, Txt, useSheetAt } from '@/ui';
import { t } from '@/words';
import { AddTo } from './add-to.tsx';
import { SectionsSheet } from './sections-sheet.tsx';
import { sayAsked, sayTemplateItem } from './say-template.ts';
import { TalkTemplate } from './talk-template.tsx';
import { TemplateItemSheet } from './template-item-sheet.tsx';
import { TemplateMenu } from './template-menu.tsx';
import { TemplateSheet } from './template-sheet.tsx';
import { UseSheet } from './use-sheet.tsx';
import { mayChangeTemplate, useContents } from './use-templates.ts';

/** One template: what it holds, what it asks for, and the way to use it. */
export function TemplateScreen({ templateId }: { templateId: string }) {
  const { rows } = useOpenHouse();
  const template = rows.find('template', templateId);
  if (template === undefined || template.removedAt !== null)
    return (
      <Screen title={t('template.gone')}>
        <Empty words={t('template.goneWhy')} />
      </Screen>
    );
  return template.kind === 'talk' ? <TalkTemplate key={template.id} template={template} /> : <Contents key={template.id} template={template} />;
}

/** A line of the page: a headed part, an item or step of it, or where one more is added. */
type Line = { key: string; section: string | null } | { key: string; item: TemplateItem } | { key: string; addTo: string | null };

function Contents({ template }: { template: Template }) {
  const { me, rows } = useOpenHouse();
  const { items, asked } = useContents(template);
  const [sheet, setSheet] = useSheetAt<'use' | 'change' | 'sections'>('template');
  const [opened, setOpened] = useSheetAt('item');
  const mayChange = mayChangeTemplate(template, me);
  const item = items.find(({ id }) => id === opened);
  const close = () => setSheet(null);
  const count = items.filter(({ parentId }) => parentId === null).length;
  const depth = depthsOf(items);
  return (
    <Screen
      title={template.name}
      sub={[t('template.count', { count }), template.isShared ? t('templates.shared') : t('templates.onlyYou')].join(' · ')}
      lead={<Icon name={template.icon} size={22} colour={template.colour} />}
      actions={
        <TemplateMenu template={template} items={items} mayChange={mayChange} onChange={() => setSheet('change')} onSections={() => setSheet('sections')} />
      }
    >
      <View className="gap-3 px-4 py-3">
        {template.purpose ? <Txt>{template.purpose}</Txt> : null}
        {sayAsked(asked, template) ? <Txt tone="muted">{sayAsked(asked, template)}</Txt> : null}
        {items.length > 0 ? (
          <View className="items-start">
            <Button kind="main" onPress={() => setSheet('use')}>
              {t('template.use')}
            </Button>
          </View>
        ) : (
          <Txt tone="muted">{t(mayChange ? 'template.emptyAdd' : 'template.empty')}</Txt>
        )}
      </View>
      <LongRows rows={linesOf(template, items, mayChange)} keyOf={({ key }) => key}>
        {(line) =>
          'item' in line ? (
            <View style={{ paddingLeft: 24 * (depth.get(line.item.id) ?? 0) }}>
              <Row title={line.item.title} sub={sayTemplateItem(line.item, template, rows) || undefined} wraps onPress={() => setOpened(line.item.id)} />
            </View>
          ) : 'addTo' in line ? (
            <AddTo template={template} section={line.addTo} label={labelOf(template, line.addTo)} />
          ) : (
            <GroupHead title={template.sections.find(({ id }) => id === line.section)?.name ?? ''} />
          )
        }
      </LongRows>
      {sheet === 'use' ? <UseSheet template={template} onClose={close} /> : null}
      {sheet === 'change' && mayChange ? <TemplateSheet template={template} onClose={close} /> : null}
      {sheet === 'sections' && mayChange ? <SectionsSheet template={template} onClose={close} /> : null}
      {item ? (
        <TemplateItemSheet key={item.id} item={item} template={template} mayChange={mayChange} onOpen={setOpened} onClose={() => setOpened(null)} />
      ) : null}
    </Screen>
  );
}

const labelOf = ({ sections }: Template, sectionId: string | null): string => {
  const section = sections.find(({ id }) => id === sectionId);
  return section ? t('template.addToSection', { name: section.name }) : t('template.addItem');
};

function depthsOf(items: readonly TemplateItem[]): Map<string, number> {
  const depth = new Map<string, number>();
  // each stands after what it is a step of
  for (const { id, parentId } of items) depth.set(id, parentId === null ? 0 : (depth.get(parentId) ?? 0) + 1);
  return depth;
}

/** The template's own headed parts, in their order; what is in none of them first. A step stands where its item does. */
function linesOf(template: Template, items: readonly TemplateItem[], mayChange: boolean): Line[] {
  const known = new Set(template.sections.map(({ id }) => id));
  const under = new Map<string | null, TemplateItem[]>();
  let at: string | null = null;
  for (const item of items) {
    if (item.parentId === null) at = item.sectionId !== null && known.has(item.sectionId) ? item.sectionId : null;
    const among = under.get(at);
    if (among) among.push(item);
    else under.set(at, [item]);
  }
  // one item with its steps has one top
  const isFull = template.kind === 'item' && items.length > 0;
  return [null, ...template.sections.map(({ id }) => id)].flatMap((section): Line[] => [
    ...(section === null ? [] : [{ key: `section:${section}`, section }]),
    ...(under.get(section) ?? []).map((item) => ({ key: item.id, item })),
    ...(mayChange && !isFull ? [{ key: `add:${section}`, addTo: section }] : []),
  ]);
}
