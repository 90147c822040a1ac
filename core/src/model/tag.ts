export type { Tag } from './tag-schema.ts';

/** How names are compared: "Shop", " shop" and "SHOP" are one tag. */
export const tagKey = (name: string): string => name.trim().replace(/\s+/g, ' ').toLowerCase();
