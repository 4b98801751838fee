/** Units and signs that are never torn from their figure at the end of a line. */
const UNIT = '%|°C|mm|cm|m|km|km/h|kg|g|N|kN|Nm|N·m|m/s²|bar|psi|ml|l|h|min|s|in|°|W|V|J|MPa|turns?|teeth';
const INSIDE = new RegExp(`(\\d) (?=(?:${UNIT})(?![\\w/·²]))`, 'g');
const AT_START = new RegExp(`^ (?=(?:${UNIT})(?![\\w/·²]))`);
const MINUTES = /(\d)[ \u00a0]h (?=\d\d(?!\d))/g;
const NO_BREAK = '\u00a0';

/** Words with their figures tied to their units. Example: "60 % of 2 h 15" → no line can end before "%", "h" or "15". */
export function tied(words: string): string {
  return words.replace(INSIDE, `$1${NO_BREAK}`).replace(MINUTES, `$1${NO_BREAK}h${NO_BREAK}`);
}

function tieNode(node: Text): void {
  const { data } = node;
  if (!data.includes(' ')) return;
  const before = node.previousSibling;
  const follows = AT_START.test(data) && before?.nodeType === Node.TEXT_NODE && /\d$/.test((before as Text).data);
  const now = tied(follows ? NO_BREAK + data.slice(1) : data);
  if (now !== data) node.data = now;
}

function tieUnder(root: Node): void {
  if (root.nodeType === Node.TEXT_NODE) return tieNode(root as Text);
  const walk = document.createTreeWalker(root, NodeFilter.SHOW_TEXT);
  for (let node = walk.nextNode(); node; node = walk.nextNode()) tieNode(node as Text);
}

/**
 * Ties figures to their units in everything that is shown, answers of calculators included, whose words are not ours to change for a line's end.
 * What is typed is not touched. Gives back what ends it.
 */
export function keepTied(root: Node): () => void {
  tieUnder(root);
  const watch = new MutationObserver((changes) => {
    for (const { type, target, addedNodes } of changes)
      if (type === 'characterData') tieNode(target as Text);
      else addedNodes.forEach(tieUnder);
  });
  watch.observe(root, { subtree: true, childList: true, characterData: true });
  return () => watch.disconnect();
}
