/**
 * Light drawings of where to click, of no program in particular: windows, lists and boxes, with the numbers of the steps where
 * their clicks go.
 */
import type { ReactNode } from "react";
import type { KitKind } from "@/core/install-kinds";

interface Place {
  readonly x: number;
  readonly y: number;
}

/** The number of a step, where its click goes. */
const Spot = ({ x, y, step }: Place & { readonly step: number }) => (
  <g>
    <circle cx={x} cy={y} r={8} className="fill-pine" />
    <text x={x} y={y + 3.5} textAnchor="middle" className="fill-on-pine text-[10px] font-medium">
      {step}
    </text>
  </g>
);

interface Box extends Place {
  readonly width: number;
  readonly height: number;
}

/** A window: a frame with a bar above. */
const Window = ({ x, y, width, height, children }: Box & { readonly children?: ReactNode }) => (
  <g>
    <rect x={x} y={y} width={width} height={height} rx={3} className="fill-sheet stroke-soft" />
    <path d={`M${x} ${y + 12}h${width}`} className="stroke-hairline" />
    {children}
  </g>
);

/** Lines that stand for words. */
const Words = ({ x, y, widths }: Place & { readonly widths: readonly number[] }) => (
  <path
    d={widths.map((width, index) => `M${x} ${y + index * 9}h${width}`).join("")}
    className="stroke-hairline"
    strokeWidth={4}
    strokeLinecap="round"
  />
);

/** The signature: a picture beside lines. */
const Signature = ({ x, y }: Place) => (
  <g>
    <circle cx={x + 9} cy={y + 9} r={9} className="fill-kelp stroke-pine" />
    <path
      d={`M${x + 26} ${y + 3}h34M${x + 26} ${y + 10}h46M${x + 26} ${y + 17}h28`}
      className="stroke-pine"
      strokeWidth={2.5}
      strokeLinecap="round"
    />
  </g>
);

/** A sheet of paper with a folded corner: a file. */
const File = ({ x, y, marked = false }: Place & { readonly marked?: boolean }) => (
  <path
    d={`M${x} ${y}h14l6 6v20h-20z M${x + 14} ${y}v6h6`}
    className={marked ? "fill-kelp stroke-pine" : "fill-sheet stroke-soft"}
  />
);

const Folder = ({ x, y, width, height, children }: Box & { readonly children?: ReactNode }) => (
  <g>
    <path d={`M${x} ${y}h28l6 7h${width - 34}v${height - 7}h-${width}z`} className="fill-paper stroke-soft" />
    {children}
  </g>
);

const Arrow = ({ x, y, length }: Place & { readonly length: number }) => (
  <path d={`M${x} ${y}h${length}m-6 -5l6 5l-6 5`} className="fill-none stroke-pine" strokeWidth={1.5} />
);

const scenes: Readonly<Record<KitKind, { readonly says: string; readonly drawing: ReactNode }>> = {
  webmail: {
    says: "The settings of a webmail: a box that takes the signature, and below it what saves.",
    drawing: (
      <>
        <Window x={10} y={14} width={180} height={112}>
          <Words x={22} y={40} widths={[26, 34, 22, 30]} />
          <Spot x={60} y={49} step={2} />
          <rect x={76} y={36} width={104} height={56} className="fill-paper stroke-pine" />
          <Signature x={86} y={48} />
          <Spot x={180} y={36} step={3} />
          <rect x={76} y={102} width={40} height={14} rx={3} className="fill-pine" />
          <Spot x={128} y={109} step={4} />
        </Window>
        <Arrow x={200} y={70} length={34} />
        <Window x={244} y={14} width={106} height={112}>
          <Words x={256} y={40} widths={[60, 76, 50]} />
          <Signature x={256} y={84} />
        </Window>
      </>
    ),
  },
  "desktop-document": {
    says: "A folder of signatures with a page, rich text, plain text and a folder of pictures side by side.",
    drawing: (
      <>
        <Folder x={10} y={20} width={170} height={104}>
          <File x={26} y={46} marked />
          <File x={56} y={46} marked />
          <File x={86} y={46} marked />
          <Folder x={120} y={46} width={46} height={28} />
          <File x={26} y={88} />
          <Spot x={172} y={46} step={3} />
        </Folder>
        <Arrow x={192} y={70} length={34} />
        <Window x={238} y={14} width={112} height={112}>
          <Words x={250} y={40} widths={[50, 36]} />
          <rect x={250} y={56} width={86} height={14} className="fill-kelp stroke-pine" />
          <Spot x={336} y={56} step={4} />
          <Signature x={250} y={88} />
        </Window>
      </>
    ),
  },
  "desktop-browser": {
    says: "A folder of files with codes for names: the newest is put in place of itself, under its own name.",
    drawing: (
      <>
        <Window x={10} y={14} width={104} height={112}>
          <Words x={22} y={40} widths={[44, 60]} />
          <rect x={22} y={62} width={70} height={14} className="fill-kelp stroke-pine" />
          <Spot x={92} y={62} step={1} />
        </Window>
        <Arrow x={124} y={70} length={30} />
        <Folder x={164} y={20} width={186} height={104}>
          <File x={182} y={48} />
          <File x={222} y={48} />
          <File x={262} y={48} marked />
          <Words x={180} y={92} widths={[24]} />
          <Words x={220} y={92} widths={[24]} />
          <Words x={260} y={92} widths={[24]} />
          <Spot x={282} y={48} step={2} />
          <Spot x={272} y={108} step={3} />
        </Folder>
      </>
    ),
  },
  "desktop-open": {
    says: "The settings of an account: a line that names the file of the signature.",
    drawing: (
      <>
        <File x={30} y={56} marked />
        <Spot x={50} y={56} step={1} />
        <Arrow x={70} y={70} length={40} />
        <Window x={122} y={14} width={228} height={112}>
          <Words x={136} y={40} widths={[60, 90]} />
          <rect x={136} y={62} width={130} height={16} className="fill-paper stroke-pine" />
          <Words x={142} y={70} widths={[80]} />
          <rect x={276} y={62} width={56} height={16} rx={3} className="fill-kelp stroke-pine" />
          <Spot x={332} y={62} step={3} />
          <Signature x={136} y={92} />
        </Window>
      </>
    ),
  },
  phone: {
    says: "A letter on a phone, its signature selected and copied, and the settings that it is pasted into.",
    drawing: (
      <>
        <rect x={70} y={8} width={84} height={124} rx={8} className="fill-sheet stroke-soft" />
        <Words x={80} y={28} widths={[50, 60]} />
        <rect x={76} y={54} width={74} height={34} className="fill-kelp" />
        <Signature x={80} y={60} />
        <Spot x={150} y={54} step={2} />
        <Arrow x={166} y={70} length={34} />
        <rect x={212} y={8} width={84} height={124} rx={8} className="fill-sheet stroke-soft" />
        <Words x={222} y={28} widths={[40, 56]} />
        <rect x={220} y={56} width={70} height={50} className="fill-paper stroke-pine" />
        <Spot x={290} y={56} step={3} />
      </>
    ),
  },
  anything: {
    says: "A page in a browser whose signature is selected, copied, and pasted where a program keeps its own.",
    drawing: (
      <>
        <Window x={10} y={14} width={140} height={112}>
          <rect x={22} y={46} width={92} height={34} className="fill-kelp" />
          <Signature x={28} y={52} />
          <Spot x={114} y={46} step={2} />
        </Window>
        <Arrow x={162} y={70} length={34} />
        <Window x={208} y={14} width={142} height={112}>
          <Words x={222} y={40} widths={[60]} />
          <rect x={222} y={54} width={112} height={54} className="fill-paper stroke-pine" />
          <Signature x={232} y={66} />
          <Spot x={334} y={54} step={3} />
        </Window>
      </>
    ),
  },
};

/** Where the clicks of a kind's steps go. */
export function WhereToClick({ kind }: { readonly kind: KitKind }) {
  const { says, drawing } = scenes[kind];
  return (
    <svg
      viewBox="0 0 360 140"
      width={360}
      height={140}
      role="img"
      aria-label={says}
      className="max-w-full shrink-0"
    >
      {drawing}
    </svg>
  );
}
