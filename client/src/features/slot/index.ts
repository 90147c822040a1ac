export { SlotForm } from './slot-form.tsx';
export { slotsFor } from './slots-for.ts';
