import { budgets, type BudgetKind } from "@/core/pictures";
import { formatBytes } from "../format";

interface Props {
  readonly bytes: number;
  readonly use: BudgetKind;
  readonly className?: string;
}

/** A weight beside its budget: the bar is full where the budget is used up. */
export function WeightBar({ bytes, use, className = "" }: Props) {
  const budget = budgets[use];
  const over = bytes > budget;
  return (
    <span className={`block ${className}`}>
      <span
        role="meter"
        aria-label={`Weight of the ${use}`}
        aria-valuemin={0}
        aria-valuemax={budget}
        aria-valuenow={Math.min(bytes, budget)}
        aria-valuetext={`${formatBytes(bytes)} of ${formatBytes(budget)}`}
        className="block h-1.5 w-full overflow-hidden rounded-full bg-hairline"
      >
        <span
          className={`block h-full rounded-full ${over ? "bg-clay" : "bg-lichen"}`}
          style={{ width: `${Math.max(2, Math.min(100, (bytes / budget) * 100))}%` }}
        />
      </span>
      <span className={`block text-xs ${over ? "text-clay" : "text-soft"}`}>
        {formatBytes(bytes)} of {formatBytes(budget)} for {use === "icon" ? "an" : "a"} {use}
        {over && ": too heavy"}
      </span>
    </span>
  );
}
