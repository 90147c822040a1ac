import { drawnLater } from '@/features/later';

const screens = () => import('./screens.ts');

export const FollowUpScreen = drawnLater(() => screens().then((all) => all.FollowUpScreen));
export const MyWaits = drawnLater(() => screens().then((all) => all.MyWaits));
