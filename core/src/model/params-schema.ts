import * as z from 'zod/mini';

/** Values a code is worded with: stored as they were then. */
export const Params = z.record(z.string(), z.union([z.string(), z.number(), z.boolean(), z.null(), z.array(z.string())]));
export type Params = z.infer<typeof Params>;
