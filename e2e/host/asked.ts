/** What a worker asks of the process its servers share, and what that answers. `nth` says to which. */
export type Asked = { nth: number; port: number } & ({ to: 'open'; script: 'main' | 'demo'; data: string; begin?: string } | { to: 'close' });

export interface Answer {
  nth: number;
  error: string | null;
}

type OfEach<T> = T extends unknown ? Omit<T, 'nth'> : never;
export type Ask = OfEach<Asked>;
