export { FilterBar } from '@/features/views';
export { FilterButton } from './filter-button.tsx';
export { useFilterHere, type FilterHere } from './use-filter-here.ts';
