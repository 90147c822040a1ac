/** What is fetched with the item's sheet: adding files, looking at them, sending them. On a row only a picture is shown: see `files`. */
export { ChooseFiles } from './choose-files.tsx';
export { Files } from './files.tsx';
export { FilesOnTheirWay } from './on-their-way.tsx';
export { attachShared, sifted, useAttach, useFileRoom } from './use-attach.ts';
export { hostOfItem, type FileHost } from './host.ts';
export { ChooseForRemark, ChosenFiles, useChosenFiles } from './remark-choice.tsx';
export { RemarkFiles } from './remark-files.tsx';
