import { Button } from "./button";

interface Props {
  /** What goes on. */
  readonly label: string;
  readonly done: number;
  /** 0 while it is not known how much there is. */
  readonly all: number;
  /** How far it is, in words. */
  readonly says: string;
  readonly onStop: () => void;
}

/** How far something is that takes a while, and the way to stop it. */
export const ProgressLine = ({ label, done, all, says, onStop }: Props) => (
  <div className="flex items-center gap-4">
    <progress aria-label={label} value={done} max={Math.max(1, all)} className="h-2 w-72 accent-pine" />
    <span role="status" className="text-sm text-soft">
      {says}
    </span>
    <Button onClick={onStop}>Stop</Button>
  </div>
);

/** "3 of 24". */
export const doneOfAll = (done: number, all: number): string =>
  `${done.toLocaleString("en")} of ${all.toLocaleString("en")}`;
