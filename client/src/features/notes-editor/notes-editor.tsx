import Bold from 'lucide-react-native/icons/bold';
import Boxes from 'lucide-react-native/icons/list-checks';
import Bullets from 'lucide-react-native/icons/list';
import Further from 'lucide-react-native/icons/list-indent-increase';
import Heading from 'lucide-react-native/icons/heading';
import Italic from 'lucide-react-native/icons/italic';
import Less from 'lucide-react-native/icons/list-indent-decrease';
import LinkIcon from 'lucide-react-native/icons/link';
import Numbers from 'lucide-react-native/icons/list-ordered';
import Quote from 'lucide-react-native/icons/quote';
import Strike from 'lucide-react-native/icons/strikethrough';
import { TEXT_MAX } from '@kotiva/core';
import { createElement, useEffect, useMemo, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { Pressable, View } from 'react-native';
import { t } from '@/words';
import { addWords } from '@/words/add-words.ts';
import { notesEditorWords } from '@/words/en/notes-editor.ts';
import { Button, ErrorLine, Field, ink } from '@/ui';
import { NotesEngine, PLAIN, type Look } from './engine.ts';
import type { Lexer } from './read.ts';

addWords(notesEditorWords);

interface NotesEditorProps {
  /** As it begins; what is typed is told, and nothing is taken over from outside. */
  text: string;
  lex: Lexer;
  label: string;
  autoFocus: boolean;
  onChange: (text: string) => void;
}

/** Notes as formatted text, with a bar for what they can look like. What is typed is Markdown all the while. */
export function NotesEditor({ text, lex, label, autoFocus, onChange }: NotesEditorProps) {
  const root = useRef<HTMLDivElement>(null);
  // begun once: a text that changes below its writer would move the cursor
  const engine = useMemo(() => new NotesEngine(text, lex), []); // eslint-disable-line react-hooks/exhaustive-deps -- see above
  const [look, setLook] = useState<Look>(PLAIN);
  const [tooLong, setTooLong] = useState(false);
  const tell = useRef(onChange);
  useEffect(() => {
    tell.current = onChange;
  });
  useEffect(() => {
    let last = text;
    const heard = (now: string, here: Look) => {
      setLook(here);
      if (now === last) return;
      setTooLong(false);
      // a tap right after the last key finds what was typed: React would draw it, and know of it, only later
      flushSync(() => tell.current(now));
      last = now;
    };
    const end = engine.register(root.current!, heard, () => setTooLong(true));
    if (autoFocus) engine.editor.focus(() => root.current?.focus({ preventScroll: true }), { defaultSelection: 'rootEnd' });
    return end;
  }, [engine]); // eslint-disable-line react-hooks/exhaustive-deps -- as it begins
  return (
    <View className="gap-1">
      <Bar engine={engine} look={look} />
      <ErrorLine says={tooLong ? t('capture.tooLong', { max: TEXT_MAX }) : null} />
      {createElement('div', {
        ref: root,
        contentEditable: true,
        suppressContentEditableWarning: true,
        role: 'textbox',
        'aria-multiline': true,
        'aria-label': label,
        spellCheck: true,
        className: 'notes-editor',
      })}
    </View>
  );
}

type Sign = typeof Bold;

function Bar({ engine, look }: { engine: NotesEngine; look: Look }) {
  const [linking, setLinking] = useState<string | null>(null);
  const isInList = look.block === 'bullet' || look.block === 'number' || look.block === 'check';
  const block = (kind: Look['block']) => ({ pressed: look.block === kind, onPress: () => engine.makeBlock(kind, look.block) });
  if (linking !== null) {
    const done = (href: string | null) => {
      engine.link(href);
      setLinking(null);
    };
    return (
      <View className="gap-2">
        <Field
          label={t('editor.address')}
          placeholder="https://"
          inputMode="url"
          value={linking}
          onChangeText={setLinking}
          onSubmitEditing={() => done(addressIn(linking))}
          autoFocus
        />
        <View className="flex-row flex-wrap gap-2">
          <Button disabled={!linking.trim()} onPress={() => done(addressIn(linking))}>
            {t('editor.setLink')}
          </Button>
          <Button kind="quiet" onPress={() => (look.href === null ? setLinking(null) : done(null))}>
            {t(look.href === null ? 'common.cancel' : 'editor.noLink')}
          </Button>
        </View>
      </View>
    );
  }
  return (
    <View role="toolbar" aria-label={t('editor.bar')} className="flex-row flex-wrap">
      <Tool sign={Heading} label={t('editor.heading')} {...block('heading')} />
      <Tool sign={Bold} label={t('editor.bold')} pressed={look.bold} onPress={() => engine.format('bold')} />
      <Tool sign={Italic} label={t('editor.italic')} pressed={look.italic} onPress={() => engine.format('italic')} />
      <Tool sign={Strike} label={t('editor.strike')} pressed={look.strike} onPress={() => engine.format('strikethrough')} />
      <Tool sign={Bullets} label={t('editor.bullets')} {...block('bullet')} />
      <Tool sign={Numbers} label={t('editor.numbers')} {...block('number')} />
      <Tool sign={Boxes} label={t('editor.boxes')} {...block('check')} />
      {isInList ? (
        <>
          <Tool sign={Further} label={t('editor.further')} onPress={() => engine.indent(true)} />
          <Tool sign={Less} label={t('editor.less')} onPress={() => engine.indent(false)} />
        </>
      ) : (
        <Tool sign={Quote} label={t('editor.quote')} {...block('quote')} />
      )}
      <Tool sign={LinkIcon} label={t('editor.link')} pressed={look.href !== null} onPress={() => setLinking(look.href ?? '')} />
    </View>
  );
}

const addressIn = (typed: string): string => (/^(https?:|mailto:|tel:)/i.test(typed.trim()) ? typed.trim() : `https://${typed.trim()}`);

/** The words that are chosen stay so while a tool is pressed. */
function Tool({ sign: Drawn, label, pressed, onPress }: { sign: Sign; label: string; pressed?: boolean; onPress: () => void }) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      aria-pressed={pressed}
      onPress={onPress}
      {...({ onMouseDown: (event: { preventDefault(): void }) => event.preventDefault() } as object)}
      className={`h-11 min-w-[34px] max-w-[44px] grow basis-0 items-center justify-center rounded-control ${pressed ? 'bg-sunk' : ''}`}
    >
      <Drawn size={20} strokeWidth={1.75} color={ink(pressed ? 'pine' : 'muted')} aria-hidden />
    </Pressable>
  );
}
