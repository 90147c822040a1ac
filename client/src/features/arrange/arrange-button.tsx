import { useArrangement, type Arranging } from '@/store/arrangement.ts';
import { Button, useSheet } from '@/ui';
import { t } from '@/words';
import { ArrangeSheet, wordOfGroup, wordOfSort, type ArrangeProps } from './arrange-sheet.tsx';

/** One word that says how a view is arranged and opens the ways to change it. */
export function ArrangeButton(props: ArrangeProps) {
  const { arranged } = useArrangement(props.view, props.usual);
  const [open, setOpen] = useSheet('arrange');
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

const sayArranged = ({ group, sort }: Arranging, props: ArrangeProps): string =>
  t('arrange.how', { group: wordOfGroup(group, props), sort: wordOfSort(sort, props) });
