import { useLayoutEffect, useRef } from 'react';
import { View } from 'react-native';
import { inPage } from './in-page.ts';

const TYPED = 'input:not([type=checkbox]):not([type=radio]):not([type=date]):not([type=time]), textarea';
const TAPPED = 'input[type=checkbox], input[type=radio], button, [role=radio], [role=checkbox], [role=button]';

/** With a keyboard before one, words are what is typed first; under a thumb a field would bring its keyboard up over what can be tapped. */
const hasKeys = (): boolean => window.matchMedia?.('(pointer: fine)').matches ?? false;

/** Focuses the field that comes first in what has opened. */
export function focusFirst(opened: HTMLElement): void {
  const [wanted, other] = hasKeys() ? [TYPED, TAPPED] : [TAPPED, TYPED];
  const first = opened.querySelector<HTMLElement>(wanted) ?? opened.querySelector<HTMLElement>(other);
  first?.focus({ preventScroll: true });
  opened.scrollIntoView?.({ block: 'nearest' });
}

/** What has opened takes the focus, in its first field. One that opens with its sheet is focused by that, once it is shown. */
export function FocusFirst({ children }: { children: React.ReactNode }) {
  const view = useRef<View>(null);
  useLayoutEffect(() => {
    const opened = inPage(view);
    if (opened?.querySelector && !opened.contains(document.activeElement)) focusFirst(opened);
  }, []);
  return (
    <View ref={view} {...({ dataSet: { focusfirst: '' } } as object)}>
      {children}
    </View>
  );
}
