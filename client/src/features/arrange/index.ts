export { ArrangeButton } from './arrange-button.tsx';
export { headField, useHeading } from './heading.ts';
export { LayoutTabs } from './layout-tabs.tsx';
export { useLayout } from './use-layout.ts';
