import type { Announcements, ScreenReaderInstructions } from '@dnd-kit/core';

/** What a screen reader is told of dragging; given by who knows the words. */
export interface DragWords {
  /** How it is done by keyboard. */
  how: string;
  picked: string;
  /** With the name of what it is over. */
  over: (name: string) => string;
  put: string;
  left: string;
}

export function sayDragging(
  words: DragWords,
  nameOf: (id: string) => string,
): { announcements: Announcements; screenReaderInstructions: ScreenReaderInstructions } {
  return {
    screenReaderInstructions: { draggable: words.how },
    announcements: {
      onDragStart: () => words.picked,
      onDragOver: ({ over }) => (over ? words.over(nameOf(String(over.id))) : undefined),
      onDragEnd: ({ over }) => (over ? words.put : words.left),
      onDragCancel: () => words.left,
    },
  };
}
