import { drawnLater } from '@/features/later';

const screens = () => import('./screens.ts');

export const PeopleScreen = drawnLater(() => screens().then((all) => all.PeopleScreen));
export const YouScreen = drawnLater(() => screens().then((all) => all.YouScreen));
export const DeviceScreen = drawnLater(() => screens().then((all) => all.DeviceScreen));
export const NotificationsScreen = drawnLater(() => screens().then((all) => all.NotificationsScreen));
export const HouseScreen = drawnLater(() => screens().then((all) => all.HouseScreen));
export const DataScreen = drawnLater(() => screens().then((all) => all.DataScreen));
export const LabelsScreen = drawnLater(() => screens().then((all) => all.LabelsScreen));
