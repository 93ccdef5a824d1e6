import Markdown from 'markdown-to-jsx/react';
import type { ReactNode } from 'react';
import { useScreen } from './context';
import type { OfKind } from './kinds/kind';
import { Lead } from './Lead';

/** A text with headings, emphasis, lists, and links that are ways. Anything else in it is shown as it is written. */
export function RichText({ element }: { element: OfKind<'text'> }) {
  const link = ({ href, children }: { href?: string; children?: ReactNode }) => (
    <TextLink element={element} id={href ?? ''}>
      {children}
    </TextLink>
  );
  return (
    <div className="rich">
      <Markdown
        options={{
          disableParsingRawHTML: true,
          forceBlock: true,
          overrides: {
            a: link,
            img: () => null, // pictures are elements of their own
            h1: (p: { children?: ReactNode }) => <h3>{p.children}</h3>,
            h2: (p: { children?: ReactNode }) => <h3>{p.children}</h3>,
            h3: (p: { children?: ReactNode }) => <h4>{p.children}</h4>,
          },
        }}
      >
        {element.text.words}
      </Markdown>
    </div>
  );
}

interface LinkProps {
  element: OfKind<'text'>;
  id: string;
  children: ReactNode;
}

/** A link that is a way; words alone where it is none, or is not open. */
function TextLink({ element, id, children }: LinkProps) {
  const { onPress, base, builder } = useScreen();
  const link = element.text.links?.[id];
  if (!link?.open) return <span title={link?.reason}>{children}</span>;
  return (
    <Lead
      href={link.href !== undefined && !builder ? base + link.href : undefined}
      onGo={() => void onPress(element, { trigger: `link.${id}` })}
    >
      {children}
    </Lead>
  );
}
