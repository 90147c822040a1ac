import { Txt } from './text.tsx';

const ADDRESS = /https?:\/\/[^\s<>"']+[^\s<>"'.,;:!?)\]]/gi;

/** The web addresses in a text, in their order. */
export const addressesIn = (text: string): string[] => (text.match(ADDRESS) ?? []).filter((url) => URL.canParse(url));

/** Text whose web addresses can be opened. */
export function LinkedText({ children }: { children: string }) {
  const addresses = addressesIn(children);
  const between = children.split(ADDRESS);
  return (
    <Txt>
      {between.map((words, nth) => (
        <Txt key={nth}>
          {words}
          {addresses[nth] ? <Address url={addresses[nth]} words={addresses[nth]} /> : null}
        </Txt>
      ))}
    </Txt>
  );
}

/** One web address; it opens beside Kotiva and learns nothing of it. */
export function Address({ url, words }: { url: string; words: string }) {
  const link = { href: url, hrefAttrs: { target: 'blank', rel: 'noopener noreferrer' } } as object;
  return (
    <Txt role="link" tone="plan" className="underline" {...link}>
      {words}
    </Txt>
  );
}
