import { Button } from '@/ui/button.tsx';
import { Page } from '@/ui/page.tsx';
import { Heading, Txt } from '@/ui/text.tsx';
import { t } from '@/words';
import { useMe, useSession } from './session.tsx';

/** Access to a house has ended while it was open: said, with the ways on from here. */
export function EndedScreen({ house }: { house: string }) {
  const { houses } = useMe();
  const { choose, readEnded, signOut } = useSession();
  return (
    <Page>
      <Heading level={1}>{t('ended.title', { house })}</Heading>
      <Txt tone="muted">{t('ended.why')}</Txt>
      {houses.map(({ houseId, name }) => (
        <Button
          key={houseId}
          kind="main"
          onPress={() => {
            choose(houseId);
            readEnded();
          }}
        >
          {t('ended.goTo', { house: name })}
        </Button>
      ))}
      {houses.length === 0 ? (
        <Button kind="main" onPress={readEnded}>
          {t('ended.makeOwn')}
        </Button>
      ) : null}
      <Button kind="quiet" onPress={() => void signOut(false)}>
        {t('account.signOut')}
      </Button>
    </Page>
  );
}
