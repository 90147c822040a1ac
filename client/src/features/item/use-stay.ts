import { useStaying } from '@/store/shown.tsx';
import { isByPointer, onceStill } from '@/ui/hand.ts';
import { gliding } from '@/ui/glide.ts';

/** ms: so long a row that was ticked stays where it is, counted from the last one. */
const STAYS_MS = 2_000;

/**
 * Does something by which rows would leave the page: where a finger or a mouse did it they stay for two seconds, so that the next row isn’t
 * suddenly under it, and a second tap takes it back. By keys they leave at once.
 */
export function useStay(): <T>(act: () => T) => T {
  const { stay, letGo } = useStaying();
  return (act) => {
    if (!isByPointer()) return act();
    const done = stay(act);
    onceStill(STAYS_MS, () => gliding(letGo));
    return done;
  };
}
