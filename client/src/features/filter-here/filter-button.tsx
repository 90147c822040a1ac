import type { FilteredOf } from '@/features/narrow';
import { FilterSheet } from '@/features/views';
import { Button, IconButton, useSheet, useWide } from '@/ui';
import { t } from '@/words';

/** The way to narrow a view that has a rule of its own. */
export function FilterButton({ items }: FilteredOf) {
  const wide = useWide();
  const [open, setOpen] = useSheet('filter');
  return (
    <>
      {wide ? (
        <Button kind="quiet" tone="muted" icon="filter" onPress={() => setOpen(true)}>
          {t('filter.narrow')}
        </Button>
      ) : (
        <IconButton icon="filter" label={t('filter.narrow')} onPress={() => setOpen(true)} />
      )}
      {open ? <FilterSheet items={items} onClose={() => setOpen(false)} /> : null}
    </>
  );
}
