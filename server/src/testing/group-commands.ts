import { type CommandName, type Payload } from '@kotiva/core';
import { v5 } from 'uuid';
import type { NewCommand } from '../sync/apply.ts';

const NAMES = '6ba7b811-9dad-11d1-80b4-00c04fd430c8';
export const HOUSE = v5('house', NAMES);
export const NOW = '2026-11-24T10:00:00.000Z';
export const ACTORS = { Aino: { id: v5('Aino', NAMES), name: 'Aino' }, Leila: { id: v5('Leila', NAMES), name: 'Leila' } };

interface Given extends NewCommand {
  by: keyof typeof ACTORS;
}
const idOf = (nth: number): string => v5(`command ${nth}`, NAMES);
/** What a command makes has an id that follows from its own. */
const madeBy = (nth: number): string => v5('0', idOf(nth));

function given<N extends CommandName>(nth: number, by: keyof typeof ACTORS, name: N, payload: Payload<N>): Given {
  return { by, id: idOf(nth), houseId: HOUSE, name, payload, at: NOW, seen: 1e9 };
}

const TOKEN = 'Leila'.padEnd(40, 'x');

/** A house of two with a thing in it. */
export const FURNISHED: Given[] = [
  given(0, 'Aino', 'house.make', { name: 'House', zone: 'Europe/Helsinki', person: { name: 'Aino', mark: 'Ai', colour: 'moss', pattern: 'weft' } }),
  given(1, 'Aino', 'invitation.make', { role: 'member', uses: 'one', token: TOKEN }),
  given(2, 'Leila', 'person.join', { token: TOKEN, name: 'Leila', mark: 'Le', colour: 'plum', pattern: 'warp' }),
  given(3, 'Aino', 'item.add', { title: 'Oars' }),
];

/** Comes in together: things made, done and said, each on what those before it made, and one that is refused. */
export const GROUP: Given[] = [
  given(10, 'Aino', 'list.make', { name: 'Boats', colour: 'moss', icon: 'leaf' }),
  given(11, 'Aino', 'item.move', { items: [madeBy(3)], list: madeBy(10) } as never),
  given(12, 'Leila', 'item.add', { title: 'Rope' }),
  given(13, 'Leila', 'item.add', { title: '' }),
  given(14, 'Leila', 'part.checkOff', { item: madeBy(12), person: null }),
  given(15, 'Aino', 'comment.say', { item: madeBy(3), text: 'They stand in the shed' }),
];
