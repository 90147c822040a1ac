export { InviteSheet, linkOf } from './invite-sheet.tsx';
export { UnknownPerson } from './unknown-person.tsx';
