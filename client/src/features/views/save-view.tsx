import { isNarrowing } from '@kotiva/core/filtering';
import { useRouter } from 'expo-router';
import { useStore } from 'react-redux';
import type { Narrowing } from '@/features/narrow';
import { useArrangement } from '@/store/arrangement.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { selectRows } from '@/store/rows.ts';
import { useOpenHouse, type Store } from '@/store/store.ts';
import { Button, useSheet } from '@/ui';
import { t } from '@/words';
import { ViewSheet } from './view-sheet.tsx';

/** Keeps what one narrowed to under a name, and leads there. */
export function SaveView({
  narrowing,
  arrangedAs = 'whole',
  words = t('view.save'),
}: {
  narrowing: Narrowing;
  /** The view whose arrangement goes along. */ arrangedAs?: string;
  words?: string;
}) {
  const { rows } = useOpenHouse();
  const submit = useSubmit();
  const router = useRouter();
  const store = useStore() as Store;
  const { arranged } = useArrangement(arrangedAs);
  const [naming, setNaming] = useSheet('keep-view');
  if (!isNarrowing(narrowing.filter)) return null;
  const make = (name: string, isShared: boolean) => {
    const before = new Set(rows.all('savedView').map(({ id }) => id));
    const { group, sort, layout, boardBy } = arranged;
    const reason = submit(
      'savedView.make',
      { name, isShared, filter: narrowing.filter, group, sort, layout, boardBy },
      { words: t('said.viewSaved', { name }), undo: true, ownRefusal: true },
    );
    if (reason) return reason;
    const made = selectRows(store.getState().house).all('savedView').find(({ id }) => !before.has(id)); // prettier-ignore
    if (made) router.push(`/views/${made.id}`);
    return null;
  };
  return (
    <>
      <Button kind="quiet" onPress={() => setNaming(true)}>
        {words}
      </Button>
      {naming ? <ViewSheet title={t('view.save')} verb={t('view.saveIt')} onSave={make} onClose={() => setNaming(false)} /> : null}
    </>
  );
}
