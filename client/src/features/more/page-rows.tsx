import { useRouter } from 'expo-router';
import { useOpenHouse } from '@/store/store.ts';
import { Row } from '@/ui';
import { t } from '@/words';
import { destinationsFor, findDestinations } from '@/features/pages';

/** Pages that have to do with what is looked for. */
export function PageRows({ words }: { words: string }) {
  const router = useRouter();
  const { me } = useOpenHouse();
  return findDestinations(words, destinationsFor({ isManager: me.role === 'manager', isDemo: false })).map(({ path, words: name, group }) => (
    <Row key={path} title={t(name)} sub={t('more.page', { group: t(`more.group.${group}`) })} onPress={() => router.push(path as '/')} />
  ));
}
