"use client";

/** An area that files, and folders of them, are dropped on. Of areas within areas the innermost takes what is dropped, and no other. */
import { fromEvent } from "file-selector";
import { useState, type DragEventHandler } from "react";

export interface FileDrop {
  /** Whether something is held over it. */
  readonly over: boolean;
  /** For the element of the area. */
  readonly handlers: {
    readonly onDragOver: DragEventHandler;
    readonly onDragLeave: DragEventHandler;
    readonly onDrop: DragEventHandler;
  };
}

export function useFileDrop(onFiles: (files: readonly File[]) => void): FileDrop {
  const [over, setOver] = useState(false);
  return {
    over,
    handlers: {
      onDragOver: (event) => {
        event.preventDefault();
        event.stopPropagation();
        setOver(true);
      },
      onDragLeave: () => setOver(false),
      onDrop: (event) => {
        event.preventDefault();
        event.stopPropagation();
        setOver(false);
        // Dropped folders are walked through.
        void fromEvent(event.nativeEvent).then((found) =>
          onFiles(found.filter((file): file is Extract<typeof file, File> => file instanceof File)),
        );
      },
    },
  };
}
