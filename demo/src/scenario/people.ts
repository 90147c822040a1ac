import type { DemoPerson } from './shapes.ts';

export const STAFF = ['Marek', 'Leila', 'Tapio', 'Noor'];

export const FAMILY: DemoPerson[] = [
  { name: 'Aino', mark: 'Ai', colour: 'petrol', pattern: 'weft', role: 'manager', minutes: [240, 240, 240, 240, 240, 120, 0] },
  { name: 'Petri', mark: 'Pe', colour: 'indigo', pattern: 'warp', role: 'manager', minutes: [240, 240, 240, 240, 240, 120, 0] },
  { name: 'Oona', mark: 'Oo', colour: 'plum', pattern: 'twill', role: 'member', minutes: [90, 90, 90, 90, 60, 180, 120] },
  { name: 'Eetu', mark: 'Ee', colour: 'rust', pattern: 'zigzag', role: 'member', minutes: [60, 60, 60, 60, 60, 120, 60] },
  { name: 'Helmi', mark: 'He', colour: 'aubergine', pattern: 'diamond', role: 'member' },
];
