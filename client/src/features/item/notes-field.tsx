import { TEXT_MAX } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { later, useLater } from '@/store/later.ts';
import { Button, Field } from '@/ui';
import { FormattedText } from '@/ui/formatted-text.tsx';
import { readMarkdown } from '@/ui/read-markdown.ts';
import { t } from '@/words';

const editor = later(() => import('./notes-editor.ts').then((all) => all.NotesEditor));
const KEY = 'kotiva/notes-plain';

interface NotesFieldProps {
  label: string;
  /** As it begins: what changes it from outside begins it anew, by another key. */
  text: string;
  onChange: (text: string) => void;
  autoFocus: boolean;
}

/** Notes being written: formatted, or with the signs that format them, as whoever writes likes it on this device. */
export function NotesField({ label, text, onChange, autoFocus }: NotesFieldProps) {
  const [plain, setPlain] = useState(() => localStorage.getItem(KEY) !== null);
  const { here: Editor, failed } = useLater(editor);
  const flip = () => {
    if (plain) localStorage.removeItem(KEY);
    else localStorage.setItem(KEY, 'yes');
    setPlain(!plain);
  };
  // it can't be fetched just now: what there is to write is written all the same
  const isPlain = plain || failed;
  return (
    <View className="gap-1">
      {isPlain ? (
        <Field label={label} hideLabel multiline maxLength={TEXT_MAX} value={text} onChangeText={onChange} autoFocus={autoFocus} />
      ) : Editor ? (
        <Editor text={text} lex={readMarkdown} label={label} autoFocus={autoFocus} onChange={onChange} />
      ) : (
        <FormattedText>{text}</FormattedText>
      )}
      {failed ? null : (
        <View className="items-end">
          <Button kind="quiet" tone="muted" onPress={flip}>
            {t(plain ? 'notes.formatted' : 'notes.plain')}
          </Button>
        </View>
      )}
    </View>
  );
}
