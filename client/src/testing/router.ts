/** Where a screen went, for tests: stands in for the router. */
export const went: unknown[] = [];
export const useRouter = () => ({
  push: (to: unknown) => went.push(to),
  navigate: (to: unknown) => went.push(to),
  replace: (to: unknown) => went.push(to),
  setParams: (params: unknown) => went.push(params),
});
export const usePathname = () => '/';

let carried: Record<string, string> = {};
/** What the address of the screen carries, such as the item whose sheet is open. */
export const carry = (params: Record<string, string>) => {
  carried = params;
};
export const useGlobalSearchParams = () => carried;
