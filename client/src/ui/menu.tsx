import * as Dropdown from '@rn-primitives/dropdown-menu';
import { memo } from 'react';
import { Pressable, View } from 'react-native';
import { Icon } from './icon.tsx';
import { useLayerStep } from './history-steps.ts';
import { closeMenu, useLayerElement } from './layers.ts';
import { useSteady } from './steady.ts';
import { Txt } from './text.tsx';

export interface MenuEntry {
  key: string;
  words: string;
  onPress: () => void;
  late?: boolean;
}

/** An open menu holds back the pointer for the rest of the page: what it does may take away the sheet it stands on, so it closes first. */
const afterClosing = (act: () => void): void => void setTimeout(act, 0);

/** Further words of a row or a sheet, behind one button. */
export function Menu({ label, entries, words }: MenuProps) {
  const of = useSteady(() => (typeof entries === 'function' ? entries() : entries));
  if (entries.length === 0 && typeof entries !== 'function') return null;
  return <SteadyMenu label={label} of={of} words={words} />;
}

interface MenuProps {
  label: string;
  /** What it offers; a function is asked when it opens. */
  entries: readonly MenuEntry[] | (() => readonly MenuEntry[]);
  /** Beside its sign. */
  words?: string;
}

const SteadyMenu = memo(function SteadyMenu({ label, of, words }: Omit<MenuProps, 'entries'> & { of: () => readonly MenuEntry[] }) {
  const layer = useLayerElement();
  return (
    <Dropdown.Root>
      <Dropdown.Trigger asChild>
        <Pressable role="button" aria-label={label} className={`h-11 flex-row items-center justify-center gap-2 rounded-control ${words ? 'px-2' : 'w-11'}`}>
          <Icon name="menu" size={22} />
          {words ? <Txt face="bold">{words}</Txt> : null}
        </Pressable>
      </Dropdown.Trigger>
      <Dropdown.Portal container={layer}>
        <Dropdown.Content align="end" sideOffset={4} className="z-50 min-w-[200px]">
          <MenuStep />
          <Entries of={of} />
        </Dropdown.Content>
      </Dropdown.Portal>
    </Dropdown.Root>
  );
});

/** Drawn while the menu is open. */
function Entries({ of }: { of: () => readonly MenuEntry[] }) {
  return (
    <View className="max-h-[70vh] overflow-y-auto rounded-sheet border border-line bg-surface py-1">
      {of().map(({ key, words, onPress, late }) => (
        <Dropdown.Item key={key} onPress={() => afterClosing(onPress)} className="min-h-11 cursor-pointer justify-center px-4 outline-none focus:bg-sunk">
          <Txt tone={late ? 'late' : 'ink'}>{words}</Txt>
        </Dropdown.Item>
      ))}
    </View>
  );
}

/** Back closes an open menu, and nothing else. */
function MenuStep(): null {
  useLayerStep(closeMenu);
  return null;
}
