import { drawnLater } from '@/features/later';

const panels = () => import('./panels.ts');

/** The item's sheet and its panels: no screen shows them before something is tapped. */
export const Decisions = drawnLater(() => panels().then((all) => all.Decisions));
export const DuePanel = drawnLater(() => panels().then((all) => all.DuePanel));
export const Glance = drawnLater(() => panels().then((all) => all.Glance));
export const HandToSheet = drawnLater(() => panels().then((all) => all.HandToSheet));
export const NotesField = drawnLater(() => panels().then((all) => all.NotesField));
export const NotesText = drawnLater(() => panels().then((all) => all.NotesText));
export const OpenItem = drawnLater(() => panels().then((all) => all.OpenItem));
export const PassOnPanel = drawnLater(() => panels().then((all) => all.PassOnPanel));
export const PeoplePicker = drawnLater(() => panels().then((all) => all.PeoplePicker));
export const PlaceList = drawnLater(() => panels().then((all) => all.PlaceList));
export const ToPerson = drawnLater(() => panels().then((all) => all.ToPerson));
export const Files = drawnLater(() => panels().then((all) => all.Files));
export const FilesOnTheirWay = drawnLater(() => panels().then((all) => all.FilesOnTheirWay));
export const WantedSheet = drawnLater(() => panels().then((all) => all.WantedSheet));
export const WaitingPanel = drawnLater(() => panels().then((all) => all.WaitingPanel));

/** Adds what was shared with the application to an item. */
export const attachShared = () => panels().then((all) => all.attachShared);
