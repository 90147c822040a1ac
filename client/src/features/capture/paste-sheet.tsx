import { batchesOf, countOf, draftOf, readLines, settled, type PastedLine } from '@kotiva/core/capture';
import { useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { useDispatch } from 'react-redux';
import { everyoneIn, useWays } from '@/features/item';
import { useLiveHouse } from '@/store/live-house.tsx';
import { toastShown, useOpenHouse } from '@/store/store.ts';
import { Band, Button, Foot, Heading, Sheet, Txt } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import type { CaptureContext } from './context.tsx';
import { withContext } from './with-context.ts';
import { useLater, type Later } from '@/store/later.ts';
import { lineReader, useReadingContext } from '@/store/reading.ts';

/** So many go in one command. */
const AT_ONCE = 500;
const SHOWN = 40;
const NONE: ReadonlySet<string> = new Set();

/** Several pasted lines: how many there are is said before they are made; long ones show how far they are and can be stopped. */
export function PasteSheet(props: Pasted) {
  const { here: readLine } = useLater(lineReader);
  return readLine ? <ReadSheet {...props} readLine={readLine} /> : null;
}

interface Pasted {
  text: string;
  here: CaptureContext;
  onClose: (done: boolean) => void;
}
type ReadsLines = typeof lineReader extends Later<infer Reads> ? Reads : never;

function ReadSheet({ text, here, onClose, readLine }: Pasted & { readLine: ReadsLines }) {
  const { rows, me } = useOpenHouse();
  const house = useLiveHouse();
  const dispatch = useDispatch();
  const reading = useReadingContext();
  const lines = useMemo(() => readLines(text), [text]);
  const count = useMemo(() => countOf(lines), [lines]);
  const [made, setMade] = useState<number | null>(null);
  const [error, setError] = useState<string | null>(null);
  const stopped = useRef(false);
  const title = t('paste.title', { count });

  // read once, when they are pasted: what is typed elsewhere meanwhile changes nothing here
  const [batches] = useState(() => {
    const read = (line: string) => {
      const found = settled(line, readLine(line, reading), NONE);
      return draftOf(found, everyoneIn(withContext(draftOf(found, []), here).list, me, rows));
    };
    return batchesOf(lines, (line) => withContext(read(line), here), AT_ONCE);
  });
  const named = useMemo(() => [...new Set(batches.flat().flatMap(({ persons }) => persons ?? []))], [batches]);
  const ways = useWays([here.list], named);

  const addAll = async () => {
    if (ways.isOpen) return setError(t('ways.first'));
    setError(null);
    const ids: string[] = [];
    let done = 0;
    for (const items of batches) {
      if (stopped.current) break;
      setMade(done);
      // the screen is drawn between one batch and the next
      await new Promise((resume) => requestAnimationFrame(resume));
      const given = house.submit('item.addMany', { items, list: here.list, section: here.section });
      if (given.refused) {
        setMade(null);
        return setError(sayReason(given.refused));
      }
      ids.push(given.id);
      done += items.length;
    }
    ways.settle();
    const undo = [...ids].reverse().map((command) => ({ name: 'undo' as const, payload: { command } }));
    dispatch(toastShown({ words: t('said.addedMany', { count: done }), offer: { words: t('common.undo'), commands: undo }, tone: 'plain' }));
    onClose(true);
  };

  return (
    <Sheet open onClose={() => onClose(false)} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-4 pt-2">
        <View className="gap-1">
          <Lines lines={lines.slice(0, SHOWN)} depth={0} />
          {lines.length > SHOWN ? <Txt tone="muted">{t('paste.more', { count: lines.length - SHOWN })}</Txt> : null}
        </View>
        {here.words ? <Txt tone="muted">{here.words}</Txt> : null}
        {ways.asks}
        {error ? (
          <Txt role="alert" tone="late">
            {error}
          </Txt>
        ) : null}
        {made === null ? (
          <Foot>
            <View className="flex-row gap-2">
              <Button kind="main" onPress={() => void addAll()}>
                {t('paste.add', { count })}
              </Button>
              <Button onPress={() => onClose(false)}>{t('common.cancel')}</Button>
            </View>
          </Foot>
        ) : (
          <View className="gap-2" role="status">
            <Band share={made / count} width={240} height={12} label={t('common.of', { done: made, of: count })} />
            <Txt>{t('common.of', { done: made, of: count })}</Txt>
            <View className="items-start">
              <Button onPress={() => (stopped.current = true)}>{t('paste.stop')}</Button>
            </View>
          </View>
        )}
      </View>
    </Sheet>
  );
}

function Lines({ lines, depth }: { lines: readonly PastedLine[]; depth: number }) {
  return lines.map((line, nth) => (
    <View key={nth} style={{ paddingLeft: depth * 18 }}>
      <Txt size={15} tone={line.ticked ? 'muted' : 'ink'} className={line.ticked ? 'line-through' : ''}>
        {line.text}
      </Txt>
      <Lines lines={line.steps} depth={depth + 1} />
    </View>
  ));
}
