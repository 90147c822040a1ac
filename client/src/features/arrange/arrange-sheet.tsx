import { DETAILS, isFieldKey, SORTINGS, type BoardBy, type Detail, type Grouping, type Layout, type Sorting } from '@kotiva/core';
import { View } from 'react-native';
import type { FieldChoice } from '@/features/fields';
import { useArrangement, type Arranging } from '@/store/arrangement.ts';
import { Button, Choice, Foot, Heading, Labelled, setOnlyList, Sheet, Switch, useOnlyList } from '@/ui';
import { t } from '@/words';
import { wordOfField } from './word-of-field.ts';
import { useLayout } from './use-layout.ts';

export interface ArrangeProps {
  /** What is arranged: `today`, `whole`, or the id of a list or view. */
  view: string;
  /** How it is arranged for who has not changed it. */
  usual?: Partial<Arranging>;
  /** The groupings that make sense here; the first is the usual one. */
  groupings: readonly Grouping[];
  /** What the usual grouping and order are here, in words. */
  usualGroup: string;
  usualSort: string;
  /** How its items can be laid out, where there is a choice. */
  layouts?: readonly Layout[];
  /** What the columns of a board can be. */
  boardBys?: readonly BoardBy[];
  /** Fields it can be sorted by, besides. */
  fields?: readonly FieldChoice[];
  /** What else can be chosen here; it may close the sheet. */
  children?: (close: () => void) => React.ReactNode;
}

/** What is sorted by a column's head alone. */
const BY_HEAD: readonly Sorting[] = ['person', 'list', 'start', 'minutes', 'made'];

export const wordOfGroup = (group: Grouping, { usualGroup, fields }: ArrangeProps): string =>
  isFieldKey(group) ? t('group.field', { name: wordOfField(group, fields) }) : group === 'usual' ? usualGroup : t(`group.${group}`);
export const wordOfSort = (sort: Sorting, { usualSort, fields }: ArrangeProps): string =>
  isFieldKey(sort) ? t('sortBy.field', { name: wordOfField(sort, fields) }) : sort === 'usual' ? usualSort : t(`sortBy.${sort}`);

/** Every way a view can be arranged. */
export function ArrangeSheet(props: ArrangeProps & { onClose: () => void }) {
  const { arranged, arrange } = useArrangement(props.view, props.usual);
  const { layout, setLayout } = useLayout(props.view, props.usual);
  const isFolded = useOnlyList();
  const title = t('arrange.title');
  const shown = props.layouts ? layout : 'rows';
  const isGrouped = shown === 'rows' || shown === 'tiles';
  const usualSortings = SORTINGS.filter((sort) => !BY_HEAD.includes(sort) || sort === arranged.sort || shown === 'table');
  const sortings: readonly Sorting[] = [...usualSortings, ...(props.fields ?? []).map(({ key }) => key)];
  return (
    <Sheet open onClose={props.onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-5 pt-2">
        {props.layouts ? (
          <Labelled words={t('arrange.layout')}>
            <Choice<Layout>
              label={t('arrange.layout')}
              value={layout}
              options={props.layouts.map((value) => ({ value, words: t(`layout.${value}`) }))}
              onChange={setLayout}
            />
          </Labelled>
        ) : null}
        {shown === 'board' && props.boardBys ? (
          <Labelled words={t('arrange.boardBy')}>
            <Choice<BoardBy>
              label={t('arrange.boardBy')}
              value={arranged.boardBy}
              options={props.boardBys.map((value) => ({ value, words: isFieldKey(value) ? wordOfField(value, props.fields) : t(`boardBy.${value}`) }))}
              onChange={(boardBy) => arrange({ boardBy })}
            />
          </Labelled>
        ) : null}
        {isGrouped ? (
          <Labelled words={t('arrange.group')}>
            <Choice<Grouping>
              label={t('arrange.group')}
              value={arranged.group}
              options={props.groupings.map((value) => ({ value, words: wordOfGroup(value, props) }))}
              onChange={(group) => arrange({ group })}
            />
          </Labelled>
        ) : null}
        {shown === 'calendar' ? null : (
          <Labelled words={t('arrange.sort')}>
            <Choice<Sorting>
              label={t('arrange.sort')}
              value={arranged.sort}
              options={sortings.map((value) => ({ value, words: wordOfSort(value, props) }))}
              onChange={(sort) => arrange({ sort })}
            />
            {arranged.sort === 'usual' ? null : (
              <Switch words={t('arrange.descending')} on={arranged.isDescending} onChange={(isDescending) => arrange({ isDescending })} />
            )}
          </Labelled>
        )}
        {shown === 'rows' || shown === 'tiles' || shown === 'board' ? (
          <Labelled words={t('arrange.detail')}>
            <Choice<Detail>
              label={t('arrange.detail')}
              value={arranged.detail}
              options={DETAILS.map((value) => ({ value, words: t(`detail.${value}`) }))}
              onChange={(detail) => arrange({ detail })}
            />
          </Labelled>
        ) : null}
        <Switch words={t('arrange.onlyList')} on={isFolded} onChange={setOnlyList} />
        {props.children?.(props.onClose)}
        <Foot>
          <Button kind="main" onPress={props.onClose}>
            {t('common.done')}
          </Button>
        </Foot>
      </View>
    </Sheet>
  );
}
