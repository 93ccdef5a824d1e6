import type { ReactNode } from 'react';

interface LeadProps {
  href: string | undefined; // none: what it leads to is no address
  onGo: () => void;
  children: ReactNode;
}

/** Words that lead somewhere: a plain link too, where there is an address for it. */
export function Lead({ href, onGo, children }: LeadProps) {
  const follow = (e: React.MouseEvent) => {
    if (e.ctrlKey || e.metaKey || e.shiftKey) return;
    e.preventDefault();
    e.stopPropagation();
    onGo();
  };
  if (href !== undefined) {
    return (
      <a className="lead" href={href} onClick={follow}>
        {children}
      </a>
    );
  }
  return (
    // biome-ignore lint/a11y/useSemanticElements: an anchor without an address is no link
    <span className="lead" role="link" tabIndex={0} onClick={follow} onKeyDown={(e) => e.key === 'Enter' && onGo()}>
      {children}
    </span>
  );
}
