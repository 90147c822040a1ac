import { Txt } from './text.tsx';

/** What is wrong, in a sentence, below its cause; nothing where nothing is. */
export function ErrorLine({ says, className }: { says: string | null | undefined; className?: string }) {
  if (!says) return null;
  return (
    <Txt role="alert" size={15} tone="late" className={className}>
      {says}
    </Txt>
  );
}
