/**
 * Imaging as the server asks for it: each task runs in one of a few worker processes, waits its turn in a bounded
 * queue, and is given up after a time. Refusals come back as they were thrown.
 */
import os from "node:os";
import workerpool, { type Pool } from "workerpool";
import { assets } from "../assets";
import { Refusal } from "../http/refusal";
import type { ImagingTasks } from "./imaging-worker";

/** One for each processor, but no more than hold a few GiB together at their worst. */
const mostWorkers = Math.max(1, Math.min(4, os.availableParallelism()));
const longestQueue = 200;
/** Nothing that is within the limits takes nearly as long; ms. */
const patience = 30_000;
/** The largest loops are written for half a minute, and longer on a busy machine. */
const patienceForLoops = 120_000;

/** Kept on the global object, since a development server loads modules anew. */
const holder = globalThis as typeof globalThis & { stillLineImaging?: Pool };

function pool(): Pool {
  if (holder.stillLineImaging) return holder.stillLineImaging;
  const { file, execArgv } = assets.imagingWorker();
  holder.stillLineImaging = workerpool.pool(file, {
    workerType: "process",
    minWorkers: 1,
    maxWorkers: mostWorkers,
    maxQueueSize: longestQueue,
    // What was given to the server itself, like a debugger's port, is not for its workers.
    forkOpts: { serialization: "advanced", execArgv },
  });
  return holder.stillLineImaging;
}

/** A refusal that crossed between processes is bare data. */
function settle(error: unknown): never {
  const refused = error as Refusal;
  const { name, message } = error as Partial<Refusal>;
  if (name === "Refusal") throw new Refusal(refused.status, refused.code, refused.message);
  if (name === "TimeoutError")
    throw new Refusal(422, "took-too-long", "This picture took too long to draw: save it smaller first.");
  if (/queue size/i.test(message ?? ""))
    throw new Refusal(422, "busy", "Too many pictures are being drawn at once: try again in a moment.");
  if (/terminated unexpectedly/i.test(message ?? ""))
    throw new Refusal(
      422,
      "damaged-picture",
      "This picture could not be drawn: save it anew as PNG or JPEG.",
    );
  throw error;
}

type Task<K extends keyof ImagingTasks> = (
  ...values: Parameters<ImagingTasks[K]>
) => Promise<Awaited<ReturnType<ImagingTasks[K]>>>;

const task =
  <K extends keyof ImagingTasks>(name: K, longest = patience): Task<K> =>
  async (...values) => {
    try {
      // What a task answers is as its own types say: it is the same code on both sides.
      return (await pool().exec(name, values).timeout(longest)) as never;
    } catch (error) {
      return settle(error);
    }
  };

export const imaging = {
  inspectPicture: task("inspectPicture"),
  unpackArchive: task("unpackArchive"),
  renderCut: task("renderCut"),
  renderInitials: task("renderInitials"),
  renderPreview: task("renderPreview"),
  renderLoop: task("renderLoop", patienceForLoops),
  renderLoopPicture: task("renderLoopPicture"),
  viewPicture: task("viewPicture"),
  findBackground: task("findBackground"),
  frameTimes: task("frameTimes"),
  findContent: task("findContent"),
  findFocus: task("findFocus"),
  colorsOf: task("colorsOf"),
  measureText: task("measureText"),
  memory: task("memory"),
};

/** Ends the workers; for scripts and tests that are done. */
export async function closeImaging(): Promise<void> {
  const open = holder.stillLineImaging;
  delete holder.stillLineImaging;
  await open?.terminate(true);
}
