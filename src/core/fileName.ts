/** A name that every file system takes. Example: `fileName('Blue / green')` is "blue-green". */
export function fileName(words: string): string {
  return (
    words
      .toLowerCase()
      .normalize('NFKD')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 50) || 'bicycle'
  );
}
