/** Uploading one picture, or an archive of them, with its progress. */
import type { AddedFiles } from "@/server/pictures/originals";
import { noAnswer, RequestError } from "./request";

/** Resolves with what `path` answers. Rejects with a RequestError whose message can be shown. `onProgress` is called with 0 to 1. */
export function uploadPicture<T = AddedFiles>(
  file: File,
  onProgress: (part: number) => void = () => undefined,
  { signal, path = "/api/pictures" }: { signal?: AbortSignal; path?: string } = {},
): Promise<T> {
  return new Promise((resolve, reject) => {
    const sending = new XMLHttpRequest();
    sending.open("POST", path);
    sending.responseType = "json";
    sending.upload.onprogress = (event) =>
      onProgress(event.lengthComputable ? event.loaded / event.total : 0);
    sending.onload = () => {
      const answer = sending.response as (T & { error?: { message: string; code: string } }) | null;
      if (sending.status === 200 && answer) resolve(answer);
      else
        reject(
          new RequestError(answer?.error?.message ?? noAnswer, sending.status, answer?.error?.code ?? "", {}),
        );
    };
    sending.onerror = () => reject(new RequestError(noAnswer, 0, "no-answer", {}));
    sending.onabort = () => reject(new RequestError("The upload was stopped.", 0, "stopped", {}));
    signal?.addEventListener("abort", () => sending.abort());
    const form = new FormData();
    form.set("file", file);
    sending.send(form);
  });
}

/** The file types that a picker offers; what is really in the file is checked by the server. */
export const acceptedPictures = "image/png,image/jpeg,image/gif,image/webp,image/avif,image/svg+xml";

/** As above, and archives of them. */
export const acceptedUploads = `${acceptedPictures},application/zip,.zip`;
