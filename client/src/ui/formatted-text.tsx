import type { Token, Tokens } from 'marked';
import { createContext, Fragment, useContext, useMemo } from 'react';
import { View } from 'react-native';
import { LinkedText } from './linked-text.tsx';
import { addressToOpen, readMarkdown } from './read-markdown.ts';
import { Txt, type TxtProps } from './text.tsx';

/** How large what stands within a line is: as that line. */
const Size = createContext<TxtProps['size']>(17);
const Within = (props: TxtProps) => <Txt size={useContext(Size)} {...props} />;

/** Markdown as formatted text. Of HTML nothing is done, it stands there as it was typed; nothing is fetched. */
export function FormattedText({ children: text }: { children: string }) {
  const tokens = useMemo(() => readMarkdown(text), [text]);
  if (tokens === null) return <LinkedText>{text}</LinkedText>;
  return (
    <View className="gap-2">
      <Blocks tokens={tokens} />
    </View>
  );
}

function Blocks({ tokens }: { tokens: readonly Token[] }) {
  return tokens.map((token, nth) => <Block key={nth} token={token} />);
}

const HEADING_SIZES = [20, 17, 17, 15, 15, 15] as const;

function Block({ token }: { token: Token }): React.ReactNode {
  switch (token.type) {
    case 'space':
    case 'def':
      return null;
    case 'heading': {
      const { depth, tokens } = token as Tokens.Heading;
      return (
        // below those of the sheet they stand in
        <Txt role="heading" aria-level={Math.min(6, depth + 3)} face="head" size={HEADING_SIZES[depth - 1] ?? 15}>
          <Words tokens={tokens} />
        </Txt>
      );
    }
    case 'paragraph':
    case 'text':
      return (
        <Txt>
          <Words tokens={(token as Tokens.Paragraph).tokens ?? [token]} />
        </Txt>
      );
    case 'list':
      return <List list={token as Tokens.List} />;
    case 'blockquote':
      return (
        <View className="gap-2 border-l-2 border-line pl-3">
          <Blocks tokens={(token as Tokens.Blockquote).tokens} />
        </View>
      );
    case 'code':
      return <Txt className="rounded-control bg-sunk px-3 py-2">{(token as Tokens.Code).text}</Txt>;
    case 'hr':
      return <View role="separator" className="border-b border-line" />;
    case 'table':
      return <Table table={token as Tokens.Table} />;
    default:
      return <Txt>{token.raw.trimEnd()}</Txt>;
  }
}

function List({ list }: { list: Tokens.List }) {
  const first = typeof list.start === 'number' ? list.start : 1;
  return (
    <View role="list" className="gap-1">
      {list.items.map((item, nth) => (
        <View key={nth} role="listitem" className="flex-row gap-2">
          <Txt tone="muted" className="min-w-5">
            {item.task ? (item.checked ? '☑' : '☐') : list.ordered ? `${first + nth}.` : '•'}
          </Txt>
          <View className="min-w-0 grow shrink basis-0 gap-1">
            <Blocks tokens={item.tokens.filter(({ type }) => type !== 'checkbox')} />
          </View>
        </View>
      ))}
    </View>
  );
}

function Table({ table }: { table: Tokens.Table }) {
  const row = (cells: readonly Tokens.TableCell[], isHead: boolean) =>
    cells.map(({ tokens }, nth) => (
      <View key={nth} role={isHead ? 'columnheader' : 'cell'} className="min-w-16 grow shrink basis-0 px-2 py-1">
        <Size.Provider value={15}>
          <Txt size={15} face={isHead ? 'medium' : 'read'}>
            <Words tokens={tokens} />
          </Txt>
        </Size.Provider>
      </View>
    ));
  return (
    <View className="overflow-x-auto">
      <View role="table">
        <View role="row" className="flex-row border-b border-line">
          {row(table.header, true)}
        </View>
        {table.rows.map((cells, nth) => (
          <View key={nth} role="row" className="flex-row border-b border-line">
            {row(cells, false)}
          </View>
        ))}
      </View>
    </View>
  );
}

/** What stands within a line. */
function Words({ tokens }: { tokens: readonly Token[] }): React.ReactNode {
  return tokens.map((token, nth) => <Fragment key={nth}>{wordsOf(token)}</Fragment>);
}

function wordsOf(token: Token): React.ReactNode {
  switch (token.type) {
    case 'strong':
      return (
        <Within face="bold">
          <Words tokens={(token as Tokens.Strong).tokens} />
        </Within>
      );
    case 'em':
      return (
        <Within className="italic">
          <Words tokens={(token as Tokens.Em).tokens} />
        </Within>
      );
    case 'del':
      return (
        <Within tone="muted" className="line-through">
          <Words tokens={(token as Tokens.Del).tokens} />
        </Within>
      );
    case 'codespan':
      return <Within className="bg-sunk">{(token as Tokens.Codespan).text}</Within>;
    case 'br':
      return '\n';
    case 'link':
      return <Link link={token as Tokens.Link} />;
    case 'text': {
      const { tokens, text } = token as Tokens.Text;
      return tokens ? <Words tokens={tokens} /> : text;
    }
    case 'escape':
      return (token as Tokens.Escape).text;
    default:
      // pictures, HTML and whatever else there may be: as it was typed
      return token.raw;
  }
}

function Link({ link: { href, tokens, raw } }: { link: Tokens.Link }) {
  const address = addressToOpen(href);
  if (address === null) return raw;
  const props = { href: address, hrefAttrs: { target: 'blank', rel: 'noopener noreferrer' } } as object;
  return (
    <Within role="link" tone="plan" className="underline" {...props}>
      <Words tokens={tokens} />
    </Within>
  );
}
