import { drawnLater } from '@/features/later';

/** Fetched once somebody is to be invited. */
export const InviteSheet = drawnLater(() => import('./invite-sheet.tsx').then((all) => all.InviteSheet));
