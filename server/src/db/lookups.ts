import { INDEXES, YES, type Noun } from '@kotiva/core';
import { CAN_BE_BROUGHT_BACK, IN_HAND, NOT_ENDED, NUDGED, OWN_PILE, TAGGED } from './conditions.ts';

/** What SQLite is asked for the rows of a lookup: a condition, and what goes into its slots. */
export interface Condition {
  where: string;
  values: string[];
}

/** Of the value looked for; null: no row is under it. */
type Asked = (value: string) => Condition | null;

const is = (field: string): Asked => (value) => ({ where: `"${field}" = ?`, values: [value] }); // prettier-ignore
/** Only whether. */
const whether = (where: string): Asked => (value) => (value === YES ? { where, values: [] } : null); // prettier-ignore
/** A date or an instant whose first letters are these, so many: none of one is beyond the tilde. */
const begins =
  (field: string, letters: number): Asked =>
  (value) =>
    value.length === letters ? { where: `"${field}" >= ? AND "${field}" < ?`, values: [value, `${value}~`] } : null;

/** The lookups that no field says. */
const DERIVED: Partial<Record<Noun, Record<string, Asked>>> = {
  part: { open: whether(IN_HAND), nudged: whether(NUDGED), completedDay: begins('completedAt', 10), planMonth: begins('plan', 7) },
  item: {
    pile: (value) => ({ where: `${OWN_PILE} AND "makerId" = ?`, values: [value] }),
    removed: whether(CAN_BE_BROUGHT_BACK),
    // an id stands in the list as it stands in JSON
    tag: (value) => ({ where: `${TAGGED} AND instr("tagIds", ?) > 0`, values: [JSON.stringify(value)] }),
    dueMonth: begins('due', 7),
  },
  wait: { open: whether(NOT_ENDED) },
  stretch: { open: whether(NOT_ENDED) },
  guest: { welcome: (value) => ({ where: `${NOT_ENDED} AND "personId" = ?`, values: [value] }) },
};

/** The condition of a lookup; null: no row is under this value. Throws where rows are not looked up by it. */
export function conditionOf(noun: Noun, index: string, value: string): Condition | null {
  if (!(INDEXES[noun] as readonly string[]).includes(index)) throw new Error(`${noun} is not looked up by ${index}`);
  return (DERIVED[noun]?.[index] ?? is(index))(value);
}
