/**
 * How well what somebody types names an action, from 0 to 1. Letters scattered over a name are no match: they put
 * what was meant below what was not.
 */
export function matchAction(name: string, typed: string, group = ""): number {
  const [wanted, own] = [typed.trim().toLowerCase(), name.toLowerCase()];
  if (wanted === "" || own === wanted) return 1;
  const words = own.split(/[^\p{L}\p{N}]+/u);
  const typedWords = wanted.split(/[^\p{L}\p{N}]+/u).filter(Boolean);
  const fits = (does: (word: string, typed: string) => boolean): boolean =>
    typedWords.length > 0 && typedWords.every((each) => words.some((word) => does(word, each)));
  // Whole words before their beginnings: “size” means the size of the text and not what “sizes” are counted in.
  if (fits((word, each) => word === each)) return own.startsWith(wanted) ? 0.95 : 0.9;
  if (own.startsWith(wanted)) return 0.8;
  if (fits((word, each) => word.startsWith(each))) return 0.7;
  if (own.includes(wanted)) return 0.5;
  return group.toLowerCase().startsWith(wanted) ? 0.3 : 0;
}
