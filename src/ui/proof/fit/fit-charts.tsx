"use client";

import { Bar, BarChart, Cell, ReferenceLine, ResponsiveContainer, Tooltip, YAxis } from "recharts";
import type { PersonFit } from "@/workers/fit.worker";

interface Props {
  /** The worst first. */
  readonly fits: readonly PersonFit[];
  /** How high most come out; px. */
  readonly usual: number;
  /** Shows somebody's signature. */
  readonly onOpen: (fit: PersonFit) => void;
}

/** The most bars that can be told apart; of more people one of so many is drawn. */
const mostBars = 160;

interface Shown {
  readonly fit: PersonFit;
  readonly name: string;
  readonly height: number;
  readonly full: number;
  /** In which of both it is more than most have, or than there is room for. */
  readonly beyond: Readonly<Record<"height" | "full", boolean>>;
}

interface Chart {
  readonly title: string;
  readonly of: "height" | "full";
  readonly unit: string;
  /** Where the dashed line is. */
  readonly line: number;
}

/** By more than what is rounded. */
const isHigher = ({ size }: PersonFit, usual: number): boolean => size.height > usual + 1;

/** Two rows of bars over the same people, the worst first: how high it comes out, and how full the fullest line is. */
export function FitCharts({ fits, usual, onOpen }: Props) {
  const step = Math.max(1, Math.ceil(fits.length / mostBars));
  const shown = fits
    .filter((_fit, index) => index % step === 0)
    .map((fit) => ({
      ...{ fit, name: fit.name },
      height: Math.round(fit.size.height),
      full: Math.round(fit.fullest * 100),
      beyond: { height: isHigher(fit, usual), full: fit.fullest > 1 },
    }));
  const higher = fits.filter((fit) => isHigher(fit, usual)).length;
  const over = fits.filter(({ fullest }) => fullest > 1).length;
  return (
    <div className="mt-4 grid gap-x-8 gap-y-4 md:grid-cols-2">
      <Bars
        chart={{ title: "Height", of: "height", unit: "px", line: Math.round(usual) }}
        shown={shown}
        onOpen={onOpen}
        says={`Most come out ${Math.round(usual)} px high${higher > 0 ? `, and ${higher.toLocaleString("en")} higher` : ""}.`}
      />
      <Bars
        chart={{ title: "Fullest line", of: "full", unit: "%", line: 100 }}
        shown={shown}
        onOpen={onOpen}
        says={
          over > 0
            ? `${over.toLocaleString("en")} ${over === 1 ? "has a line" : "have a line"} that is wider than its room.`
            : "Every line has room."
        }
      />
      <p className="text-xs text-soft md:col-span-2">
        A bar for each person, the worst first, at the same place in both; a click shows theirs on the Bench.
        {step > 1 && ` One of ${step} people is drawn.`}
      </p>
    </div>
  );
}

function Bars({
  chart: { title, of, unit, line },
  shown,
  says,
  onOpen,
}: {
  readonly chart: Chart;
  readonly shown: readonly Shown[];
  readonly says: string;
  readonly onOpen: (fit: PersonFit) => void;
}) {
  return (
    <figure className="min-w-0">
      <figcaption className="text-sm">
        <span className="font-medium">{title}</span> <span className="text-soft">{says}</span>
      </figcaption>
      <div role="img" aria-label={`${title}: ${says}`} className="h-36">
        <ResponsiveContainer width="100%" height="100%">
          <BarChart
            data={[...shown]}
            margin={{ top: 8, right: 0, bottom: 0, left: 0 }}
            barCategoryGap={shown.length > 60 ? 0 : "20%"}
            accessibilityLayer={false}
          >
            <YAxis
              width={44}
              tickLine={false}
              axisLine={false}
              tick={{ fill: "var(--soft)", fontSize: 11 }}
              tickCount={4}
              unit={` ${unit}`}
            />
            <Tooltip
              cursor={{ fill: "var(--kelp)" }}
              isAnimationActive={false}
              content={({ active, payload }) => {
                const bar = payload?.[0]?.payload as Shown | undefined;
                return active && bar ? (
                  <p className="border border-hairline bg-sheet px-2 py-1 text-xs">
                    <bdi>{bar.name}</bdi>: {bar[of]} {unit}
                  </p>
                ) : null;
              }}
            />
            <Bar
              dataKey={of}
              maxBarSize={48}
              isAnimationActive={false}
              onClick={(_bar, index) => {
                const chosen = shown[index];
                if (chosen) onOpen(chosen.fit);
              }}
              className="cursor-pointer"
            >
              {shown.map(({ fit, beyond }) => (
                <Cell key={fit.id} fill={beyond[of] ? "var(--clay)" : "var(--hairline)"} />
              ))}
            </Bar>
            <ReferenceLine y={line} stroke="var(--pine)" strokeDasharray="4 3" />
          </BarChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}
