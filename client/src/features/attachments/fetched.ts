import { drawnLater } from '@/features/later';

/** A picture large: not before one is tapped. */
export const Viewer = drawnLater(() => import('./viewer.tsx').then((all) => all.Viewer));

/** A drawing: not before one is begun. */
export const SketchSheet = drawnLater(() => import('./sketch-sheet.tsx').then((all) => all.SketchSheet));
