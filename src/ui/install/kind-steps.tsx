import type { KitKind } from "@/core/install-kinds";
import { WhereToClick } from "./drawings";
import { installKinds } from "./kinds";

/** What one does in a kind of client, step by step, beside where the clicks go. */
export const KindSteps = ({ kind }: { readonly kind: KitKind }) => (
  <div className="my-3 flex flex-wrap items-start gap-x-8 gap-y-3">
    <ol className="min-w-[260px] flex-1 list-decimal space-y-1 pl-5 marker:text-soft">
      {installKinds[kind].steps.map((step) => (
        <li key={step}>{step}</li>
      ))}
    </ol>
    <WhereToClick kind={kind} />
  </div>
);

/** What one sees when it went right, and what commonly goes wrong. */
export function HowItWent({ kind }: { readonly kind: KitKind }) {
  const { right, wrong } = installKinds[kind];
  return (
    <dl className="mt-4 grid grid-cols-[auto_minmax(0,1fr)] gap-x-4 gap-y-1 border-t border-hairline pt-3 text-sm">
      <dt className="font-medium text-lichen">It went right</dt>
      <dd>{right}</dd>
      {wrong.map(([what, why]) => (
        <div key={what} className="contents">
          <dt className="text-clay">{what}</dt>
          <dd className="text-soft">{why}</dd>
        </div>
      ))}
    </dl>
  );
}
