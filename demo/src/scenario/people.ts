import type { DemoPerson } from './shapes.ts';

export const STAFF = ['Marek', 'Leila', 'Tapio', 'Noor'];

export const FAMILY: DemoPerson[] = [
  { name: 'Aino', mark: 'Ai', colour: 'petrol', pattern: 'weft', role: 'manager' },
  { name: 'Petri', mark: 'Pe', colour: 'indigo', pattern: 'warp', role: 'manager' },
  { name: 'Oona', mark: 'Oo', colour: 'plum', pattern: 'twill', role: 'member' },
  { name: 'Eetu', mark: 'Ee', colour: 'rust', pattern: 'zigzag', role: 'member' },
  { name: 'Helmi', mark: 'He', colour: 'aubergine', pattern: 'diamond', role: 'member' },
];
