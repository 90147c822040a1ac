import { useState } from 'react';
import type { FilteredOf } from '@/features/narrow';
import { FilterSheet } from '@/features/views';
import { Button, IconButton, useWide } from '@/ui';
import { t } from '@/words';

/** The way to narrow a view that has a rule of its own. */
export function FilterButton({ items }: FilteredOf) {
  const wide = useWide();
  const [open, setOpen] = useState(false);
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
