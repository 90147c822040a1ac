import { memo } from 'react';
import { useSheet } from '@/ui';
import { StretchBar, StretchSheet } from './fetched.ts';
import { useMyStretch } from './use-my-stretch.ts';

/** On every screen: what one is in the middle of, and where one is begun. */
export const StretchHere = memo(function StretchHere() {
  const stretch = useMyStretch();
  const [isBeginning, setBeginning] = useSheet('stretch');
  return (
    <>
      {stretch ? <StretchBar key={stretch.id} stretch={stretch} /> : null}
      {isBeginning ? <StretchSheet onClose={() => setBeginning(false)} /> : null}
    </>
  );
});
