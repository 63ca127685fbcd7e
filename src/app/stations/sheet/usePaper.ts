import { useEffect } from 'react';

/**
 * What stands in the margin of every printed page; quotes and backslashes in a name must not end the text.
 */
const quoted = (text: string): string => `"${text.replaceAll(/["\\\n]/g, ' ')}"`;

/** Title and page number in the margin of every page that is printed while the sheet is open. */
export function usePaper(title: string): void {
  useEffect(() => {
    const sheet = new CSSStyleSheet();
    const font = 'font: 9pt sans-serif; color: #333;';
    sheet.replaceSync(
      `@page { margin: 16mm 12mm 14mm; @top-left { content: ${quoted(title)}; ${font} } @bottom-right { content: counter(page) " of " counter(pages); ${font} } }`,
    );
    document.adoptedStyleSheets = [...document.adoptedStyleSheets, sheet];
    return () => {
      document.adoptedStyleSheets = document.adoptedStyleSheets.filter((s) => s !== sheet);
    };
  }, [title]);
}
