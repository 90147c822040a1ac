export { DataScreen, DeviceScreen, HouseScreen, LabelsScreen, NotificationsScreen, PeopleScreen, YouScreen } from './fetched.ts';
