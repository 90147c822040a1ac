import { createElement, useImperativeHandle, useRef } from 'react';
import { View } from 'react-native';
import { ink, type Token } from './tokens.ts';

export interface MarkedPiece {
  text: string;
  /** The colour of the line below it; none where nothing was recognised. */
  tone: Token | null;
}

export interface MarkedFieldHandle {
  focus(): void;
}

interface MarkedFieldProps {
  label: string;
  placeholder: string;
  value: string;
  /** The value in its pieces. */
  pieces: readonly MarkedPiece[];
  invalid?: boolean;
  describedBy?: string;
  autoFocus?: boolean;
  ref?: React.Ref<MarkedFieldHandle>;
  onChange: (value: string) => void;
  /** Enter; with Shift it makes a new line. */
  onEnter: () => void;
  maxLength?: number;
  /** Several lines were pasted: returns whether they were taken. */
  onPasteLines?: (text: string) => boolean;
  /** More than fits was pasted: none of it is taken. */
  onTooLong?: () => void;
}

const SHAPE = {
  font: '1.0625rem AtkinsonHyperlegibleNext_400Regular, sans-serif',
  lineHeight: '1.5rem',
  padding: '10px 12px',
  margin: 0,
  border: 0,
  whiteSpace: 'pre-wrap',
  overflowWrap: 'anywhere',
} as const;

/**
 * A field that grows, with lines below what was recognised. The text below it, unseen, gives it its height and carries the lines. Where it
 * would leave no room for anything else it scrolls.
 */
export function MarkedField({
  label,
  placeholder,
  value,
  pieces,
  invalid,
  describedBy,
  autoFocus,
  ref,
  onChange,
  onEnter,
  maxLength,
  onPasteLines,
  onTooLong,
}: MarkedFieldProps) {
  const area = useRef<HTMLTextAreaElement>(null);
  useImperativeHandle(ref, () => ({ focus: () => area.current?.focus() }));
  return (
    <View className="marked-holder min-h-11 rounded-control bg-sunk">
      <View className="relative min-h-11">
        {createElement(
          'div',
          { 'aria-hidden': true, style: { ...SHAPE, color: 'transparent', minHeight: 24 } },
          ...pieces.map(({ text, tone }, nth) =>
            createElement('span', { key: nth, style: tone ? { boxShadow: `inset 0 -2px 0 ${ink(tone)}` } : undefined }, text),
          ),
          '\u200b',
        )}
        {createElement('textarea', {
          ref: area,
          rows: 1,
          value,
          placeholder,
          autoFocus,
          maxLength,
          'aria-label': label,
          'aria-invalid': invalid || undefined,
          'aria-describedby': describedBy,
          enterKeyHint: 'done',
          className: 'marked-field',
          style: {
            ...SHAPE,
            position: 'absolute',
            inset: 0,
            width: '100%',
            height: '100%',
            resize: 'none',
            overflow: 'hidden',
            background: 'transparent',
            color: ink('ink'),
          },
          onChange: (event: React.ChangeEvent<HTMLTextAreaElement>) => onChange(event.target.value),
          onKeyDown: (event: React.KeyboardEvent) => {
            if (event.key !== 'Enter' || event.shiftKey || event.nativeEvent.isComposing) return;
            event.preventDefault();
            onEnter();
          },
          onPaste: (event: React.ClipboardEvent) => {
            const text = event.clipboardData.getData('text/plain');
            if (/[\r\n]/.test(text.trim()) && onPasteLines?.(text)) return event.preventDefault();
            // laying out what is cut off anyway can take minutes
            if (maxLength === undefined || value.length + text.length <= maxLength) return;
            event.preventDefault();
            onTooLong?.();
          },
        })}
      </View>
    </View>
  );
}
