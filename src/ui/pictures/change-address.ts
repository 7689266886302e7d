import type { CatalogueCut } from "@/contract";

/** Where a cut or loop is opened to be changed. */
export function changeAddress({ loop, originalHash, source }: CatalogueCut, signatureId?: string): string {
  const query = new URLSearchParams({ source, ...(signatureId ? { signature: signatureId } : {}) });
  return loop ? `/pictures/loops/edit?${query}` : `/pictures/cut/${originalHash}?${query}`;
}
