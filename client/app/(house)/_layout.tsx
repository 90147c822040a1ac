import { Slot } from 'expo-router';
import { AwayScreen, EndedScreen, FirstHouseScreen, SignInScreen, useSession } from '@/features/account';
import { Shell } from '@/features/shell';
import { useRouteAhead } from '@/routes-ahead.ts';
import { LiveHouseProvider } from '@/store/live-house.tsx';

/** The same element each time: where one goes changes the page and not the bars around it. */
const PAGE = <Slot />;

/** Inside the house: only for who is signed in and in one. */
export default function HouseLayout() {
  const { standing, lost } = useSession();
  useRouteAhead();
  if (standing.state === 'asking') return null;
  if (standing.state === 'away') return <AwayScreen />;
  if (standing.state === 'out') return <SignInScreen signedOut={standing.why === 'signed-out'} />;
  const { me, houseId } = standing;
  if (standing.ended !== undefined) return <EndedScreen house={standing.ended} />;
  if (!houseId) return <FirstHouseScreen />;
  return (
    <LiveHouseProvider key={`${me.account.id} ${houseId}`} accountId={me.account.id} houseId={houseId} onLost={lost}>
      <Shell>{PAGE}</Shell>
    </LiveHouseProvider>
  );
}
