import * as Dialog from '@rn-primitives/dialog';
import { Pressable, ScrollView, View } from 'react-native';
import { IconButton } from './button.tsx';
import { Txt } from './text.tsx';
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
  children: React.ReactNode;
}

/** The sheet itself takes the focus, not its first button: a screen reader begins with its name. */
function focusSheet(event: Event): void {
  event.preventDefault();
  (event.currentTarget as HTMLElement | null)?.focus({ preventScroll: true });
}

/** Comes from below on a phone; on a wide screen it stands in the middle, as wide as its leaves. */
export function Sheet({ open, onClose, title, head, foot, closeLabel, leaves = false, children }: SheetProps) {
  const wide = useWide();
  const place = wide ? 'items-center justify-center p-6' : 'justify-end';
  const shape = wide ? `w-full rounded-sheet ${leaves ? 'max-w-[960px]' : 'max-w-[560px]'}` : 'w-full rounded-t-sheet';
  return (
    <Dialog.Root open={open} onOpenChange={(next) => (next ? undefined : onClose())}>
      <Dialog.Portal>
        <Dialog.Overlay asChild closeOnPress={false}>
          <View className={`sheet fixed inset-0 z-40 bg-[#0B1A1E]/60 ${place}`}>
            <Pressable aria-hidden tabIndex={-1} onPress={onClose} className="absolute inset-0 cursor-default" />
            <Dialog.Content asChild aria-describedby={undefined} onOpenAutoFocus={focusSheet}>
              <View className={`min-h-0 shrink bg-surface shadow-lg ${shape}`}>
                {wide ? null : <View aria-hidden className="mx-auto mt-2 h-1 w-10 rounded-full bg-line" />}
                <Dialog.Title asChild>
                  <Txt className="sr-only">{title}</Txt>
                </Dialog.Title>
                <View className="flex-row items-center gap-2 pl-5 pr-2 pt-1">
                  <View className="min-w-0 grow shrink">{head}</View>
                  <IconButton icon="close" label={closeLabel} onPress={onClose} />
                </View>
                <ScrollView className="shrink" contentContainerClassName="px-5 pb-5">
                  {children}
                </ScrollView>
                {foot ? <View className="border-t border-line px-5 pb-5 pt-3">{foot}</View> : null}
              </View>
            </Dialog.Content>
          </View>
        </Dialog.Overlay>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
