import type { PersonFit } from "@/workers/fit.worker";

interface Props {
  /** The fullest first. */
  readonly fits: readonly PersonFit[];
}

/** px of the drawing. */
const [width, height] = [640, 120];
/** The most bars that can be told apart; of more people one of so many is drawn. */
const mostBars = 160;
/** What is drawn of a room that is more than full. */
const highest = 2;

/** How full each person's fullest line is, the fullest first, with a line where the room ends. */
export function FitChart({ fits }: Props) {
  const step = Math.max(1, Math.ceil(fits.length / mostBars));
  const shown = fits.filter((_fit, index) => index % step === 0);
  const bar = width / Math.max(1, shown.length);
  const yOf = (full: number): number => height - (Math.min(full, highest) / highest) * height;
  const over = fits.filter(({ fullest }) => fullest > 1).length;
  return (
    <figure className="mt-4">
      <svg
        role="img"
        aria-label={`How much of its room each person’s fullest line takes: more than all of it for ${over.toLocaleString("en")} of ${fits.length.toLocaleString("en")}`}
        viewBox={`0 0 ${width} ${height}`}
        className="h-30 w-full max-w-[640px]"
        preserveAspectRatio="none"
      >
        {shown.map(({ id, name, fullest, tight }, index) => (
          <rect
            key={id}
            x={index * bar}
            y={yOf(fullest)}
            width={Math.max(0.5, bar - Math.min(2, bar / 4))}
            height={height - yOf(fullest)}
            className={tight.length > 0 ? "fill-clay" : "fill-hairline"}
          >
            <title>{`${name}: ${Math.round(fullest * 100)} %`}</title>
          </rect>
        ))}
        <line x1={0} x2={width} y1={yOf(1)} y2={yOf(1)} className="stroke-pine" strokeDasharray="4 3" />
      </svg>
      <figcaption className="text-xs text-soft">
        Everybody’s fullest line as a share of its room, the fullest first; the dashed line is all of it.
        {step > 1 && ` One of ${step} people is drawn.`}
      </figcaption>
    </figure>
  );
}
