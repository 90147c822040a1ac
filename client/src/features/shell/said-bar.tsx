import { memo, useEffect, useState } from 'react';
import { useDispatch } from 'react-redux';
import { View } from 'react-native';
import { useSubmit } from '@/store/live-house.tsx';
import { quiet, useToast, type Toast } from '@/store/store.ts';
import { NoticeBar, OnTop, useKeysAnywhere } from '@/ui';

/** Long enough to read it and reach the way back. */
const SAID_MS = 10_000;

/** What was last said, on top of whatever is open. It stays while a hand is on it. */
export const SaidBar = memo(function SaidBar() {
  const said = useToast();
  const submit = useSubmit();
  const dispatch = useDispatch();
  const [held, setHeld] = useState<Toast | null>(null);
  const isHeld = said !== null && held === said;
  useEffect(() => {
    if (!said || isHeld) return;
    const timer = setTimeout(() => dispatch(quiet()), SAID_MS);
    return () => clearTimeout(timer);
  }, [said, isHeld, dispatch]);
  const takeOffer = () => {
    if (!said?.offer) return false;
    dispatch(quiet());
    for (const { name, payload } of said.offer.commands) submit(name, payload as never);
    return true;
  };
  useKeysAnywhere((key) => key === 'z' && takeOffer());
  if (!said) return null;
  const { words, offer, tone } = said;
  const hold = () => setHeld(said);
  const letGo = () => setHeld(null);
  return (
    <OnTop place={(bar) => <View className="mx-3.5 mb-2 lg:absolute lg:bottom-4 lg:left-1/2 lg:mx-0 lg:w-[480px] lg:-translate-x-1/2">{bar}</View>}>
      <div onPointerEnter={hold} onPointerLeave={letGo} onFocus={hold} onBlur={letGo}>
        <NoticeBar words={words} tone={tone} action={offer?.words} onAction={offer ? takeOffer : undefined} />
      </div>
    </OnTop>
  );
});
