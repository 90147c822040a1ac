import { spanName, type CaptureContext as ReadingContext, type Question, type ReadLine, type Span } from '@kotiva/core/capture';
import { View } from 'react-native';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Chip, PersonMark, Txt } from '@/ui';
import { t } from '@/words';
import { dayMonth } from '@/words/dates.ts';
import { ordinal, sayShortOnly } from '@/words/rules.ts';
import { personOf } from '@/features/item';
import { sayChip } from './chips.ts';
import type { Answers } from './use-reading.ts';

interface ChipsProps {
  read: ReadLine;
  context: ReadingContext;
  answers: Answers;
  onAnswer: (answers: Answers) => void;
}

/** What was recognised, each to be taken back; what is only offered, each to be taken up. */
export function Chips({ read, context, answers, onAnswer }: ChipsProps) {
  const { rows } = useOpenHouse();
  if (read.spans.length === 0) return null;
  const lead = (span: Span) => {
    const person = span.kind === 'person' && span.value.ids.length === 1 ? personOf(rows, span.value.ids[0]!) : null;
    return person ? <PersonMark looks={person} size={22} /> : undefined;
  };
  const without = (some: ReadonlySet<string>, name: string) => new Set([...some].filter((one) => one !== name));
  return (
    <View className="flex-row flex-wrap gap-2" role="group" aria-label={t('capture.understood')}>
      {read.spans.map((span) => {
        const words = sayChip(span, context);
        const name = spanName(span);
        return span.chosen ? (
          <Chip
            key={`${span.from} ${name}`}
            words={words}
            lead={lead(span)}
            removeLabel={t('chip.remove', { words })}
            onRemove={() =>
              onAnswer(
                answers.taken.has(name) ? { ...answers, taken: without(answers.taken, name) } : { ...answers, declined: new Set([...answers.declined, name]) },
              )
            }
          />
        ) : (
          <Chip key={`${span.from} ${name}`} words={words} onTake={() => onAnswer({ ...answers, taken: new Set([...answers.taken, name]) })} />
        );
      })}
    </View>
  );
}

/** What contradicts itself is asked, with the answers at hand; one of them is to leave the words as they are. */
export function Questions({
  read,
  context,
  answers,
  onAnswer,
  onRewrite,
}: ChipsProps & {
  /** Replaces a stretch of the line: the answer stands there as if it had been typed. */
  onRewrite: (from: number, to: number, words: string) => void;
}) {
  const asked = read.questions[0];
  if (!asked) return null;
  return (
    <View role="group" aria-label={sayQuestion(asked)} className="gap-2">
      <Txt size={15} tone="waits">
        {sayQuestion(asked)}
      </Txt>
      <View className="flex-row flex-wrap gap-2">
        {optionsFor(asked, context).map(({ words, answer }) => (
          <Button key={words} onPress={() => answer({ answers, onAnswer, onRewrite })}>
            {words}
          </Button>
        ))}
      </View>
    </View>
  );
}

interface Answering {
  answers: Answers;
  onAnswer: (answers: Answers) => void;
  onRewrite: (from: number, to: number, words: string) => void;
}

function sayQuestion({ doubt }: Question): string {
  switch (doubt.code) {
    case 'which-person':
      return t('capture.which', { name: doubt.name });
    case 'no-such-day':
      return t('capture.noSuchDay', { said: doubt.said });
    case 'short-month':
      return t('rule.asks31', { day: ordinal(doubt.day) });
    case 'weekday-disagrees':
      return t('capture.weekdayDisagrees', { date: dayMonth(doubt.date), said: doubt.weekday });
  }
}

function optionsFor({ doubt, from, to, text }: Question, context: ReadingContext): { words: string; answer: (with_: Answering) => void }[] {
  if (doubt.code === 'which-person')
    return doubt.ids.map((id) => ({
      words: context.people.find((person) => person.id === id)?.name ?? '',
      answer: ({ answers, onAnswer }) => onAnswer({ ...answers, meant: new Map([...answers.meant, [doubt.name.toLowerCase(), id]]) }),
    }));
  const word = /^(by|on|from|until|not before|starting|due|before)\s+/i.exec(text)?.[0] ?? '';
  const rewrite =
    (words: string) =>
    ({ onRewrite }: Answering) =>
      onRewrite(from, to, words);
  const inTitle = { words: t('capture.leaveOut'), answer: rewrite('') };
  if (doubt.code === 'no-such-day') return [inTitle];
  if (doubt.code === 'short-month')
    return [
      { words: t('rule.short.orLast', { day: ordinal(doubt.day) }), answer: rewrite(`${text} or the last day`) },
      { words: sayShortOnly(doubt.day), answer: rewrite(`${text} only`) },
    ];
  return [
    { words: dayMonth(doubt.date), answer: rewrite(`${word}${doubt.date}`) },
    { words: doubt.weekday, answer: rewrite(`${word}${doubt.weekday}`) },
    inTitle,
  ];
}
