import type { Attachment } from '@kotiva/core';
import { INK_COLOURS, INKS, MOST_POINTS, MOST_SKETCH_LETTERS, MOST_STROKES, SKETCH_TYPE, strokePath, WIDTHS, type InkName, type Sketch, type Stroke, type StrokeWidth } from '@kotiva/core/model/sketch'; // prettier-ignore
import { memo, useEffect, useMemo, useRef, useState } from 'react';
import { Pressable, View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { addressOf } from '@/features/files';
import { useDraft } from '@/store/drafts.ts';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, Choice, ConfirmRow, ErrorLine, Heading, Sheet, Txt } from '@/ui';
import { Picture } from '@/ui/picture.tsx';
import { inPage } from '@/ui/in-page.ts';
import { t } from '@/words';
import { addWords } from '@/words/add-words.ts';
import { sayInstant } from '@/words/dates.ts';
import { sketchWords } from '@/words/en/sketch.ts';
import type { FileHost } from './host.ts';

addWords(sketchWords);

/** Units across a white paper. */
const ACROSS = 1_200;
const DOWN = 900;

interface SketchSheetProps {
  host: FileHost;
  /** The picture it is drawn on; a drawing goes on where it was left. Null: white paper. */
  on: Attachment | null;
  /** Adds it; gives what is wrong with it. */
  attach: (files: readonly File[]) => string[];
  onClose: () => void;
}

/** A quick drawing by finger, pen or mouse. */
export function SketchSheet({ host, on, attach, onClose }: SketchSheetProps) {
  const begun = useBegun(on);
  return (
    <Sheet open leaves onClose={onClose} title={t('sketch.title')} closeLabel={t('common.close')} head={<Heading level={2}>{t('sketch.title')}</Heading>}>
      {begun === 'unread' ? <ErrorLine says={t('sketch.unread')} /> : begun ? <Drawing host={host} begun={begun} attach={attach} onClose={onClose} /> : null}
    </Sheet>
  );
}

type Begun = Pick<Sketch, 'width' | 'height' | 'on' | 'strokes'>;

/** White paper, a picture, or the strokes of a drawing. */
function useBegun(on: Attachment | null): Begun | 'unread' | null {
  const isDrawing = on?.mediaType === SKETCH_TYPE;
  const [read, setRead] = useState<Begun | 'unread' | null>(null);
  useEffect(() => {
    if (!on || !isDrawing) return undefined;
    const ending = new AbortController();
    fetch(`/files/${on.houseId}/${on.id}/strokes`, { signal: ending.signal })
      .then((answer) => (answer.ok ? (answer.json() as Promise<Begun>) : Promise.reject(new Error(String(answer.status)))))
      .then(setRead)
      .catch(() => ending.signal.aborted || setRead('unread'));
    return () => ending.abort();
  }, [on, isDrawing]);
  const paper = useMemo<Begun>(() => {
    if (!on?.width || !on.height) return { width: ACROSS, height: DOWN, on: null, strokes: [] };
    const scale = ACROSS / Math.max(on.width, on.height);
    return { width: Math.max(100, Math.round(on.width * scale)), height: Math.max(100, Math.round(on.height * scale)), on: on.id, strokes: [] };
  }, [on]);
  return isDrawing ? read : paper;
}

function Drawing({ host, begun, attach, onClose }: { begun: Begun } & Omit<SketchSheetProps, 'on'>) {
  const { house } = useOpenHouse();
  const now = useNow();
  const [strokes, setStrokes, done] = useDraft<Stroke[]>(`sketch/${host.id}/${begun.on ?? 'white'}`, NONE);
  const [ink, setInk] = useState<InkName>('red');
  const [width, setWidth] = useState<StrokeWidth>('middle');
  const [problems, setProblems] = useState<string[]>([]);
  const all = useMemo(() => [...begun.strokes, ...strokes], [begun, strokes]);
  const letters = useMemo(() => JSON.stringify(all).length, [all]);
  const isFull = all.length >= MOST_STROKES || letters > MOST_SKETCH_LETTERS * 0.9;
  const save = () => {
    const sketch: Sketch = { kind: 'kotiva-sketch', width: begun.width, height: begun.height, on: begun.on, strokes: all };
    const name = t('sketch.name', { when: sayInstant(now, now, house.zone) });
    const wrong = attach([new File([JSON.stringify(sketch)], name, { type: SKETCH_TYPE })]);
    setProblems(wrong);
    if (wrong.length > 0) return;
    done();
    onClose();
  };
  return (
    <View className="gap-3 pt-1">
      <Paper
        begun={begun}
        strokes={all}
        pen={{ ink, width }}
        onStroke={isFull ? null : (stroke) => setStrokes((before) => [...before, stroke])}
        house={house.id}
      />
      {isFull ? <Txt role="status">{t('sketch.full')}</Txt> : null}
      <View className="flex-row flex-wrap items-center gap-x-4 gap-y-2">
        <View role="radiogroup" aria-label={t('sketch.ink')} className="flex-row">
          {INKS.map((one) => (
            <Pressable
              key={one}
              role="radio"
              aria-checked={one === ink}
              aria-label={t(`sketch.ink.${one}`)}
              onPress={() => setInk(one)}
              className="h-11 w-11 items-center justify-center"
            >
              <View className={`h-7 w-7 rounded-[5px] border-2 ${one === ink ? 'border-ink' : 'border-line'}`} style={{ backgroundColor: INK_COLOURS[one] }} />
            </Pressable>
          ))}
        </View>
        <Choice label={t('sketch.width')} value={width} options={WIDTHS.map((value) => ({ value, words: t(`sketch.width.${value}`) }))} onChange={setWidth} />
        <Button kind="quiet" disabled={strokes.length === 0} onPress={() => setStrokes((before) => before.slice(0, -1))}>
          {t('sketch.undo')}
        </Button>
      </View>
      {problems.map((problem) => (
        <ErrorLine key={problem} says={problem} />
      ))}
      <ConfirmRow verb={t('sketch.save')} disabled={strokes.length === 0} onConfirm={save} cancel={t('common.cancel')} onCancel={onClose} />
    </View>
  );
}

const NONE: Stroke[] = [];

interface PaperProps {
  begun: Begun;
  strokes: readonly Stroke[];
  pen: Pick<Stroke, 'ink' | 'width'>;
  /** Null: it is full. */
  onStroke: ((stroke: Stroke) => void) | null;
  house: string;
}

function Paper({ begun, strokes, pen, onStroke, house }: PaperProps) {
  const view = useRef<View>(null);
  const [points, setPoints] = useState<Stroke['points']>([]);
  const drawing = useRef<Stroke['points']>([]);
  useEffect(() => {
    const element = inPage(view);
    if (!element || !onStroke) return undefined;
    const at = (event: PointerEvent): [number, number, number] => {
      const { left, top, width, height } = element.getBoundingClientRect();
      const x = ((event.clientX - left) / width) * begun.width;
      const y = ((event.clientY - top) / height) * begun.height;
      // a finger and a mouse don’t tell how hard
      return [Math.round(x), Math.round(y), event.pointerType === 'pen' ? Math.round(event.pressure * 100) / 100 : 0.5];
    };
    const down = (event: PointerEvent) => {
      if (event.button !== 0 || drawing.current.length > 0) return;
      element.setPointerCapture?.(event.pointerId);
      drawing.current = [at(event)];
      setPoints(drawing.current);
    };
    const move = (event: PointerEvent) => {
      if (drawing.current.length === 0 || drawing.current.length >= MOST_POINTS) return;
      drawing.current = [...drawing.current, at(event)];
      setPoints(drawing.current);
    };
    const up = () => {
      if (drawing.current.length > 0) onStroke({ ...pen, points: drawing.current });
      drawing.current = [];
      setPoints([]);
    };
    const events = { pointerdown: down, pointermove: move, pointerup: up, pointercancel: up } as unknown as Record<string, EventListener>;
    for (const [name, listen] of Object.entries(events)) element.addEventListener(name, listen);
    return () => {
      for (const [name, listen] of Object.entries(events)) element.removeEventListener(name, listen);
    };
  }, [begun, pen, onStroke]);
  return (
    <View
      ref={view}
      role="img"
      aria-label={t('sketch.paper')}
      className="sketch-paper w-full self-center overflow-hidden rounded-control border border-line"
      style={{ aspectRatio: begun.width / begun.height, maxWidth: `calc(56dvh * ${begun.width / begun.height})` as never, backgroundColor: 'white' }}
    >
      {begun.on ? (
        <View className="absolute inset-0">
          <Picture src={addressOf({ houseId: house, id: begun.on }, 'middle')} alt="" fit="fill" />
        </View>
      ) : null}
      <View className="absolute inset-0">
        <Svg width="100%" height="100%" viewBox={`0 0 ${begun.width} ${begun.height}`}>
          <Strokes strokes={strokes} paper={begun.width} />
          {points.length > 0 ? <Path d={strokePath({ points, width: pen.width }, begun.width)} fill={INK_COLOURS[pen.ink]} /> : null}
        </Svg>
      </View>
    </View>
  );
}

/** What is drawn already is not drawn anew with each move of the hand. */
const Strokes = memo(function Strokes({ strokes, paper }: { strokes: readonly Stroke[]; paper: number }) {
  return strokes.map((stroke, nth) => <Path key={nth} d={strokePath(stroke, paper)} fill={INK_COLOURS[stroke.ink]} />);
});
