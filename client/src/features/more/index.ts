export { BesideMore } from './beside-more.tsx';
export { MoreScreen } from './more-screen.tsx';
export { PageRows } from './page-rows.tsx';
export { ShelfScreen } from './shelf-screen.tsx';
