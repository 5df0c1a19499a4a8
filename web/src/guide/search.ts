const plain = (text: string) =>
  text.normalize('NFD').replace(/\p{M}/gu, '').replace(/[’‘]/g, "'").toLowerCase();

/** Whether a text speaks of it: every word that was typed begins a word in it, whatever its case and accents. */
export function speaksOf(asked: string, ...texts: string[]): boolean {
  const words = plain(texts.join(' ')).split(/[^\p{L}\p{N}.'°%]+/u);
  return plain(asked)
    .split(/\s+/)
    .filter(Boolean)
    .every((word) => words.some((each) => each.startsWith(word)));
}
