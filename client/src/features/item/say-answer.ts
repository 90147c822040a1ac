import type { Item } from '@kotiva/core';

/** "1204.5 kWh": what was answered at the tick, with its unit. */
export const sayAnswer = ({ wanted }: Pick<Item, 'wanted'>, answer: string): string => [answer, wanted?.unit].filter(Boolean).join(' ');
