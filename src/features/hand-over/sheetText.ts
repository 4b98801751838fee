/** What stands on the sheet, section by section, as it is read from top to bottom. */
export interface SheetText {
  title: string;
  head: string[];
  sections: { title: string; lines: string[] }[];
}

const said = (element: Element): string => (element.textContent ?? '').replaceAll(/\s+/g, ' ').trim();

/** Lines of one part: the cells of a row together, each block by itself. */
function linesOf(part: Element): string[] {
  const lines: string[] = [];
  let loose = '';
  const end = () => {
    if (loose.trim()) lines.push(loose.replaceAll(/\s+/g, ' ').trim());
    loose = '';
  };
  for (const node of part.childNodes) {
    if (node instanceof HTMLElement && node.tagName === 'H3') continue;
    if (node instanceof HTMLElement && /^(DIV|TABLE|UL|OL|LI|TR|TBODY)$/.test(node.tagName)) {
      end();
      if (node.tagName === 'TR') lines.push([...node.children].map(said).filter(Boolean).join(' · '));
      else if ([...node.children].some(({ tagName }) => /^(DIV|TABLE|UL|OL|LI|TR|TBODY)$/.test(tagName)))
        lines.push(...linesOf(node));
      else if (said(node)) lines.push(said(node));
    } else loose += node.textContent ?? '';
  }
  end();
  return lines;
}

/**
 * The printed sheet as text: the PDF and the passport say what the sheet says, to the word. Errors: none; what is no sheet gives an empty one. Example: a part
 * headed *Done* with two jobs → a section of two lines.
 */
export function sheetText(sheet: Element): SheetText {
  const [head, ...parts] = [...sheet.children];
  const [name, ...more] = head ? [...(head.children[0]?.children ?? [])].map(said) : [];
  return {
    title: name ?? '',
    head: more.filter(Boolean),
    sections: parts.flatMap((part) => {
      const title = part.querySelector('h3');
      const lines = linesOf(part);
      return title && lines.length > 0 ? [{ title: said(title), lines }] : [];
    }),
  };
}
