import { Txt } from '@/ui';
import type { Reached } from '@/store/beyond.ts';
import { t } from '@/words';

/** That what lies further back is on its way, or can't come now. */
export function BeyondLine({ reached }: { reached: Reached }) {
  if (reached === 'here') return null;
  return (
    <Txt role="status" size={15} tone="muted" className="px-4 py-2">
      {t(reached === 'asked' ? 'beyond.asked' : 'beyond.noLine')}
    </Txt>
  );
}
