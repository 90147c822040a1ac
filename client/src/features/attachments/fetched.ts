import { drawnLater } from '@/features/later';

/** A picture large: not before one is tapped. */
export const Viewer = drawnLater(() => import('./viewer.tsx').then((all) => all.Viewer));
