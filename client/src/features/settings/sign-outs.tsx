import { useRef, useState } from 'react';
import { View } from 'react-native';
import { useSelector } from 'react-redux';
import { useSession } from '@/features/account';
import { draftsOf } from '@/store/drafts.ts';
import { useHouseState, useOpenHouse, type State } from '@/store/store.ts';
import { Button, Txt } from '@/ui';
import { inPage } from '@/ui/in-page.ts';
import { t } from '@/words';
import { KeysToKeep } from './keys-to-keep.tsx';

/** What would be lost by signing out: said before. */
function useUnfinished(): string | null {
  const { me } = useOpenHouse();
  const unsent = useHouseState((state) => state.pending.filter(({ ackSeq }) => ackSeq === null).length);
  const drafts = me.accountId ? draftsOf(me.accountId) : 0;
  const files = useSelector((state: State) => Object.keys(state.sending).length);
  const words = [
    unsent > 0 ? t('account.unsent', { count: unsent }) : null,
    files > 0 ? t('account.unsentFiles', { count: files }) : null,
    drafts > 0 ? t('account.drafts', { count: drafts }) : null,
  ].filter(Boolean);
  return words.length > 0 ? words.join(' ') : null;
}

/** Signing out here, or on every device: there it is said what else ends. */
export function SignOuts() {
  const { signOut } = useSession();
  const [everywhere, setEverywhere] = useState(false);
  const [asking, setAsking] = useState(false);
  const unfinished = useUnfinished();
  const panel = useRef<View>(null);
  // it opens at the very end of the page, and grows when the keys have come: on a phone nothing of it would be seen
  const bringIntoView = () => inPage(panel)?.scrollIntoView?.({ block: 'end' });
  const [keepKeys, setKeepKeys] = useState<string[]>([]);
  return (
    <View className="gap-3 px-4 py-4">
      <View className="flex-row flex-wrap gap-2">
        <Button expanded={asking} onPress={() => (unfinished ? setAsking(!asking) : void signOut(false))}>
          {t('account.signOut')}
        </Button>
        <Button kind="quiet" expanded={everywhere} onPress={() => setEverywhere(!everywhere)}>
          {t('account.signOutEverywhere')}
        </Button>
      </View>
      {asking ? (
        <View className="items-start gap-3">
          <Txt role="alert" tone="waits">
            {unfinished}
          </Txt>
          <Button onPress={() => void signOut(false)}>{t('account.signOutAnyway')}</Button>
        </View>
      ) : null}
      {everywhere ? (
        <View ref={panel} onLayout={bringIntoView} className="items-start gap-3">
          <Txt size={15} tone="muted">
            {t('account.everywhereMeans')}
          </Txt>
          {unfinished ? <Txt tone="waits">{unfinished}</Txt> : null}
          <KeysToKeep kept={keepKeys} onChange={setKeepKeys} />
          <Button kind="main" onPress={() => void signOut(true, keepKeys)}>
            {t('account.signOutAll')}
          </Button>
        </View>
      ) : null}
    </View>
  );
}
