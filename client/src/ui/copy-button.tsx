import { useState } from 'react';
import { Button } from './button.tsx';
import { copyWords } from './copy.ts';

interface CopyButtonProps {
  /** What is put on the clipboard. */
  text: string;
  words: string;
  /** In its place once it was. */
  done: string;
  /** Where the browser doesn't let it. */
  failed: string;
  kind?: 'main' | 'plain' | 'quiet';
}

/** Copies, and says on itself what came of it. */
export function CopyButton({ text, words, done, failed, kind = 'plain' }: CopyButtonProps) {
  const [copied, setCopied] = useState<{ text: string; well: boolean } | null>(null);
  const says = copied?.text !== text ? words : copied.well ? done : failed;
  return (
    <Button kind={kind} onPress={() => void copyWords(text).then((well) => setCopied({ text, well }))}>
      {says}
    </Button>
  );
}
