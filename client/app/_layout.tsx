import '../global.css';
import { AtkinsonHyperlegibleNext_400Regular } from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular';
import { AtkinsonHyperlegibleNext_500Medium } from '@expo-google-fonts/atkinson-hyperlegible-next/500Medium';
import { AtkinsonHyperlegibleNext_700Bold } from '@expo-google-fonts/atkinson-hyperlegible-next/700Bold';
import { BricolageGrotesque_600SemiBold } from '@expo-google-fonts/bricolage-grotesque/600SemiBold';
import { BricolageGrotesque_700Bold } from '@expo-google-fonts/bricolage-grotesque/700Bold';
import { useFonts } from 'expo-font';
import { Slot } from 'expo-router';
import { useState } from 'react';
import { Provider } from 'react-redux';
import { SessionProvider } from '@/features/account';
import { BrokeScreen } from '@/features/shell';
import { makeStore } from '@/store/store.ts';
import { registerServiceWorker } from '@/sync/service-worker.ts';
import { useFocusKeeper } from '@/ui/focus-keeper.ts';
import { followHand } from '@/ui/hand.ts';
import { hearStepsBack } from '@/ui/history-steps.ts';
import { useEscapeLeaves, useSpacePresses } from '@/ui/keys.ts';
import { swallowSecondTaps } from '@/ui/second-tap.ts';
import { keepSheetAddress } from '@/ui/sheet-address.ts';
import { ThemeProvider } from '@/ui/theme.tsx';

registerServiceWorker();
hearStepsBack();
keepSheetAddress();
swallowSecondTaps();
followHand();

/** Where drawing a page fails. */
export function ErrorBoundary() {
  return <BrokeScreen />;
}

/** What every page stands in. Text shows in the system's font until ours have come. */
export default function Root() {
  useFonts({
    AtkinsonHyperlegibleNext_400Regular,
    AtkinsonHyperlegibleNext_500Medium,
    AtkinsonHyperlegibleNext_700Bold,
    BricolageGrotesque_600SemiBold,
    BricolageGrotesque_700Bold,
  });
  useSpacePresses();
  useEscapeLeaves();
  useFocusKeeper();
  const [store] = useState(makeStore);
  return (
    <Provider store={store}>
      <ThemeProvider>
        <SessionProvider>
          <Slot />
        </SessionProvider>
      </ThemeProvider>
    </Provider>
  );
}
