import { DETAILS, SORTINGS, type Detail, type Grouping, type Sorting } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useArrangement, type Arranging } from '@/store/arrangement.ts';
import { Button, Choice, Foot, Heading, Labelled, Sheet } from '@/ui';
import { t } from '@/words';

interface ArrangeProps {
  /** What is arranged: `today`, `whole`, or a list's id. */
  view: string;
  /** How it is arranged for who has not changed it. */
  usual?: Partial<Arranging>;
  /** The groupings that make sense here; the first is the usual one. */
  groupings: readonly Grouping[];
  /** What the usual grouping and order are here, in words. */
  usualGroup: string;
  usualSort: string;
  /** What else can be chosen here; it may close the sheet. */
  children?: (close: () => void) => React.ReactNode;
}

/** One word that says how a view is arranged and opens the ways to change it. */
export function ArrangeButton(props: ArrangeProps) {
  const { arranged } = useArrangement(props.view, props.usual);
  const [open, setOpen] = useState(false);
  const how = sayArranged(arranged, props);
  const usual = isUsual(arranged);
  return (
    <>
      <Button kind="quiet" tone="muted" icon="arrange" label={t(usual ? 'arrange.usual' : 'arrange.other', { how })} onPress={() => setOpen(true)}>
        {usual ? t('arrange.arrange') : how}
      </Button>
      {open ? <ArrangeSheet {...props} onClose={() => setOpen(false)} /> : null}
    </>
  );
}

const isUsual = ({ group, sort }: Arranging): boolean => group === 'usual' && sort === 'usual';
const wordOfGroup = (group: Grouping, { usualGroup }: ArrangeProps): string => (group === 'usual' ? usualGroup : t(`group.${group}`));
const wordOfSort = (sort: Sorting, { usualSort }: ArrangeProps): string => (sort === 'usual' ? usualSort : t(`sortBy.${sort}`));

const sayArranged = ({ group, sort }: Arranging, props: ArrangeProps): string =>
  t('arrange.how', { group: wordOfGroup(group, props), sort: wordOfSort(sort, props) });

function ArrangeSheet(props: ArrangeProps & { onClose: () => void }) {
  const { arranged, arrange } = useArrangement(props.view, props.usual);
  const title = t('arrange.title');
  return (
    <Sheet open onClose={props.onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-5 pt-2">
        <Labelled words={t('arrange.group')}>
          <Choice<Grouping>
            label={t('arrange.group')}
            value={arranged.group}
            options={props.groupings.map((value) => ({ value, words: wordOfGroup(value, props) }))}
            onChange={(group) => arrange({ group })}
          />
        </Labelled>
        <Labelled words={t('arrange.sort')}>
          <Choice<Sorting>
            label={t('arrange.sort')}
            value={arranged.sort}
            options={SORTINGS.map((value) => ({ value, words: wordOfSort(value, props) }))}
            onChange={(sort) => arrange({ sort })}
          />
        </Labelled>
        <Labelled words={t('arrange.detail')}>
          <Choice<Detail>
            label={t('arrange.detail')}
            value={arranged.detail}
            options={DETAILS.map((value) => ({ value, words: t(`detail.${value}`) }))}
            onChange={(detail) => arrange({ detail })}
          />
        </Labelled>
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
