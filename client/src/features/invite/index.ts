export { accessesFor } from './accesses.ts';
export { InviteSheet } from './fetched.ts';
export { linkOf } from './link.ts';
export { UnknownPerson } from './unknown-person.tsx';
