/**
 * Strongly connected components of a graph: what can reach each other along arcs is one.
 * @returns the component of each node, numbered so that arcs between components run from a smaller number to a larger one
 * @source R. Tarjan, "Depth-first search and linear graph algorithms", SIAM J. Computing 1 (1972), without recursion
 */
export function components(n: number, arcs: readonly (readonly [number, number])[]): Int32Array {
  const out: number[][] = Array.from({ length: n }, () => []);
  for (const [a, b] of arcs) out[a]!.push(b);
  const index = new Int32Array(n).fill(-1);
  const low = new Int32Array(n);
  const of = new Int32Array(n).fill(-1);
  const path: number[] = [];
  const next = new Int32Array(n);
  let seen = 0;
  let found = 0;
  for (let root = 0; root < n; root += 1) {
    if (index[root]! >= 0) continue;
    const call = [root];
    while (call.length > 0) {
      const v = call.at(-1)!;
      if (index[v]! < 0) {
        index[v] = low[v] = seen;
        seen += 1;
        path.push(v);
      }
      const w = out[v]![next[v]!];
      if (w !== undefined) {
        next[v]! += 1;
        if (index[w]! < 0) call.push(w);
        else if (of[w]! < 0) low[v] = Math.min(low[v]!, index[w]!);
        continue;
      }
      call.pop();
      const parent = call.at(-1);
      if (parent !== undefined) low[parent] = Math.min(low[parent]!, low[v]!);
      if (low[v] !== index[v]) continue;
      let member: number;
      do {
        member = path.pop()!;
        of[member] = found;
      } while (member !== v);
      found += 1;
    }
  }
  return of.map((c) => found - 1 - c);
}
