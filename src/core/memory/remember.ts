/** A function of a string or the like that is worked out once for each, while it is asked for: then all is forgotten. */

const most = 2000;

/** The function with its answers kept, at most 2,000 of them. It must give the same answer for the same key. */
export function remember<K, V>(work: (key: K) => V): (key: K) => V {
  const known = new Map<K, V>();
  return (key) => {
    const before = known.get(key);
    if (before !== undefined || known.has(key)) return before as V;
    const answer = work(key);
    if (known.size >= most) known.clear();
    known.set(key, answer);
    return answer;
  };
}
