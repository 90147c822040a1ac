import { useLayoutEffect, useRef, useState } from 'react';
import { createPortal } from 'react-dom';
import { Pressable, ScrollView, View } from 'react-native';
import { IconButton } from './button.tsx';
import { focusFirst } from './focus-first.tsx';
import { useSheetFoot } from './foot.tsx';
import { useLayerStep } from './history-steps.ts';
import { closeMenu, focusAgain, lay, LayerContext } from './layers.ts';
import { useWide } from './wide.ts';

interface SheetProps {
  open: boolean;
  onClose: () => void;
  /** The sheet's name for screen readers. */
  title: string;
  /** Above the content: where it belongs, a menu. */
  head?: React.ReactNode;
  /** Below the content, always in sight. */
  foot?: React.ReactNode;
  closeLabel: string;
  /** Two leaves on a wide screen: the content is laid out by the caller. */
  leaves?: boolean;
  /** It has an address of its own, which is its step of the history. */
  hasAddress?: boolean;
  children: React.ReactNode;
}

/** Comes from below on a phone; on a wide screen it stands in the middle, as wide as its leaves. Escape, Back and a tap beside close it. */
export function Sheet({ open, ...sheet }: SheetProps) {
  return open ? createPortal(<OpenSheet {...sheet} />, document.body) : null;
}

function OpenSheet({ onClose, title, head, foot, closeLabel, leaves = false, hasAddress = false, children }: Omit<SheetProps, 'open'>) {
  const wide = useWide();
  const dialog = useRef<HTMLDialogElement>(null);
  const messages = useRef<HTMLDivElement>(null);
  const [element, setElement] = useState<HTMLElement | null>(null);
  useLayerStep(onClose, !hasAddress);
  const { foot: panels, hold, Provider } = useSheetFoot();
  useLayoutEffect(() => {
    const [layer, came] = [dialog.current!, document.activeElement];
    // one that was left open by a key would lie beneath, and hold the pointer for itself
    closeMenu();
    layer.showModal();
    // a field that asks for it; else the sheet itself takes the focus, not its first button: a screen reader begins with its name
    const panel = layer.querySelector<HTMLElement>('[data-focusfirst]');
    if (panel) focusFirst(panel);
    else (layer.querySelector<HTMLElement>('[data-autofocus]') ?? layer).focus({ preventScroll: true });
    setElement(layer);
    const takeAway = lay({ element: layer, messages: messages.current! });
    return () => {
      takeAway();
      layer.close();
      focusAgain(came);
    };
  }, []);
  const place = wide ? 'sheet-wide' : 'sheet-phone';
  const shape = wide ? `rounded-sheet ${leaves ? 'max-w-[960px]' : 'max-w-[560px]'}` : 'rounded-t-sheet';
  // a field for files says “cancel” too, and so does a sheet above this one
  const onlyOwn = (act: () => void) => (event: React.SyntheticEvent) => {
    if (event.target !== event.currentTarget) return;
    event.preventDefault();
    act();
  };
  return (
    <dialog ref={dialog} tabIndex={-1} aria-label={title} className={`sheet ${place}`} onCancel={onlyOwn(onClose)} onClose={onlyOwn(onClose)}>
      <LayerContext.Provider value={element}>
        <Pressable aria-hidden tabIndex={-1} onPress={onClose} className="absolute inset-0 cursor-default" />
        <View className={`sheet-panel min-h-0 w-full shrink bg-surface shadow-lg ${shape}`}>
          <div ref={messages} className="sheet-messages" />
          {wide ? null : <View aria-hidden className="mx-auto mt-2 h-1 w-10 rounded-full bg-line" />}
          <View className="flex-row items-center gap-2 pl-5 pr-2 pt-1">
            <View className="min-w-0 grow shrink">{head}</View>
            <IconButton icon="close" label={closeLabel} onPress={onClose} />
          </View>
          <ScrollView className="shrink" contentContainerClassName="px-5 pb-5">
            <Provider value={panels}>{children}</Provider>
          </ScrollView>
          <View className={foot || panels.open.length > 0 ? 'border-t border-line px-5 pb-5 pt-3' : ''}>
            {panels.open.length > 0 ? null : foot}
            <View ref={hold as never} />
          </View>
        </View>
      </LayerContext.Provider>
    </dialog>
  );
}
