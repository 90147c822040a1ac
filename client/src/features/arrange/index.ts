export { ArrangeButton } from './arrange-button.tsx';
export { useHeading } from './heading.ts';
