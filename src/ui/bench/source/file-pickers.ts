/** Files chosen from disk that can be written back to, where the browser has such a choice (WICG File System Access). */

export interface PickedFile {
  readonly name: string;
  readonly read: () => Promise<File>;
  /** Null where the file cannot be written. */
  readonly write: ((text: string) => Promise<void>) | null;
}

interface Pickers {
  readonly showOpenFilePicker?: (options: object) => Promise<readonly FileSystemFileHandle[]>;
  readonly showSaveFilePicker?: (options: object) => Promise<FileSystemFileHandle>;
}

const types = [{ description: "HTML", accept: { "text/html": [".html", ".htm"] } }];

const picked = (handle: FileSystemFileHandle): PickedFile => ({
  name: handle.name,
  read: () => handle.getFile(),
  write: async (text) => {
    const file = await handle.createWritable();
    await file.write(text);
    await file.close();
  },
});

/** Each is null where the browser does not offer it. */
export const filePickers = {
  open(): (() => Promise<PickedFile>) | null {
    const { showOpenFilePicker } = window as Pickers;
    if (!showOpenFilePicker) return null;
    return async () => {
      const [handle] = await showOpenFilePicker.call(window, { types });
      if (!handle) throw new DOMException("No file was chosen.", "AbortError");
      return picked(handle);
    };
  },
  save(): ((name: string) => Promise<PickedFile>) | null {
    const { showSaveFilePicker } = window as Pickers;
    if (!showSaveFilePicker) return null;
    return async (suggestedName) => picked(await showSaveFilePicker.call(window, { suggestedName, types }));
  },
};
