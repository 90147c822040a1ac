import { World } from '@kotiva/core/testing/world';

/** Aino's house at noon of a Tuesday, with a list that Leila may check off in and Tapio may change. */
export function boathouse(): { w: World; list: string } {
  const w = new World();
  w.join('Leila', 'helper');
  w.join('Tapio', 'member');
  const list = w.list('Aino', 'Boathouse', [
    ['Leila', 'check'],
    ['Tapio', 'edit'],
  ]);
  return { w, list };
}
