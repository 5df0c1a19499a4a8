const plain = (text: string) =>
  text.normalize('NFD').replace(/\p{M}/gu, '').replace(/[’‘]/g, "'").toLowerCase();

const wordsOf = (text: string) =>
  plain(text)
    .split(/[^\p{L}\p{N}.'°%]+/u)
    .filter(Boolean);

/** Whether a text speaks of it: every word that was typed begins a word in it, whatever its case and accents. */
export function speaksOf(asked: string, ...texts: string[]): boolean {
  const words = wordsOf(texts.join(' '));
  return wordsOf(asked).every((word) => words.some((each) => each.startsWith(word)));
}
