/**
 * Files that ship beside the code. The application's own folder is named by what starts it; a program that is run in
 * that folder, as in development, need not name it. Nothing else asks where the process was started.
 */
import path from "node:path";

const root = (): string => process.env.STILL_LINE_ROOT || process.cwd();

const inRoot = (...parts: readonly string[]): string => path.join(/*turbopackIgnore: true*/ root(), ...parts);

export const assets = {
  migrations: (): string => inRoot("src", "server", "database", "migrations"),
  /** The folder of a family's font files. */
  fonts: (family: string): string => inRoot("node_modules", "@fontsource", family, "files"),
  /** A file that an invented site serves. */
  inventedSite: (file: string): string => inRoot("src", "server", "invented-sites", file),
  demo: (...parts: readonly string[]): string => inRoot("demo", ...parts),
  /** What runs imaging: built, or in development its source. */
  imagingWorker: (): { readonly file: string; readonly execArgv: string[] } =>
    process.env.NODE_ENV === "production"
      ? { file: inRoot("dist", "imaging-worker.mjs"), execArgv: [] }
      : {
          file: inRoot("src", "server", "imaging", "imaging-worker.ts"),
          execArgv: ["--import", "tsx"],
        },
} as const;
