import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { Icon } from './icon.tsx';
import { Txt } from './text.tsx';

/** Something not needed now: one line until it is opened. */
export function Fold({ words, children, startsOpen = false }: { words: string; children: React.ReactNode; startsOpen?: boolean }) {
  const [open, setOpen] = useState(startsOpen);
  return (
    <View>
      <Pressable role="button" aria-expanded={open} onPress={() => setOpen(!open)} className="group-head min-h-12 flex-row items-center gap-2 px-4">
        <Icon name={open ? 'down' : 'right'} />
        <Txt size={15} tone="muted">
          {words}
        </Txt>
      </Pressable>
      {open ? children : null}
    </View>
  );
}
