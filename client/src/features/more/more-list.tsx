import { usePathname, useRouter } from 'expo-router';
import { View } from 'react-native';
import { InviteSheet } from '@/features/invite';
import { useMe } from '@/features/account';
import { useOpenHouse } from '@/store/store.ts';
import { Button, GroupHead, Row, useSheet } from '@/ui';
import { t } from '@/words';
import { destinationsFor, type Destination, type DestinationGroup } from '@/features/pages';
import { useSubline } from './sublines.ts';

const GROUPS: readonly DestinationGroup[] = ['house', 'together', 'kept', 'settings'];

export function useDestinations(): Destination[] {
  const { me } = useOpenHouse();
  const { demo } = useMe();
  return destinationsFor({ isManager: me.role === 'manager', isDemo: demo === true });
}

/** The places More leads to, by what they are for. `isNarrow`: beside a page, names alone. */
export function MoreList({ isNarrow = false }: { isNarrow?: boolean }) {
  const { me } = useOpenHouse();
  const all = useDestinations();
  const [inviting, setInviting] = useSheet('invite');
  return (
    <>
      {GROUPS.map((group) => (
        <View key={group} className="break-inside-avoid">
          <GroupHead title={t(`more.group.${group}`)} />
          {all
            .filter((one) => one.group === group)
            .map((one) => (
              <MoreRow
                key={one.path}
                destination={one}
                isNarrow={isNarrow}
                trail={
                  one.path === '/people' && me.role === 'manager' && !isNarrow ? (
                    <Button kind="quiet" onPress={() => setInviting(true)}>
                      {t('invite.make')}
                    </Button>
                  ) : null
                }
              />
            ))}
        </View>
      ))}
      {inviting && me.role === 'manager' ? <InviteSheet onClose={() => setInviting(false)} /> : null}
    </>
  );
}

interface MoreRowProps {
  destination: Destination;
  isNarrow: boolean;
  trail: React.ReactNode;
}

function MoreRow({ destination: { path, words }, isNarrow, trail }: MoreRowProps) {
  const router = useRouter();
  const at = usePathname();
  const sub = useSubline(path);
  return (
    <Row
      title={t(words)}
      sub={isNarrow ? undefined : sub}
      isHere={isNarrow && at === path}
      trail={trail}
      onPress={() => (isNarrow ? router.navigate(path as '/') : router.push(path as '/'))}
    />
  );
}
