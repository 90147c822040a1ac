export { BeyondFilter } from './beyond-filter.tsx';
export { FilterBar, FilterSheet, type FilteredOf } from './filter-bar.tsx';
export { FilteredItems } from './filtered-items.tsx';
export { NarrowBar } from './narrow-bar.tsx';
export { filterRules } from './rules.ts';
export { useDemands } from './use-demands.ts';
export { useFiltering } from './use-filtered.ts';
export { useNarrowing, type Narrowing } from './use-narrowing.ts';
