/** Uploading one picture, with its progress. */
import { noAnswer, RequestError } from "./request";

export interface UploadedOriginal {
  readonly hash: string;
  readonly name: string;
  readonly type: "png" | "jpeg";
  /** px. */
  readonly width: number;
  readonly height: number;
  readonly bytes: number;
}

/** Rejects with a RequestError whose message can be shown. `onProgress` is called with 0 to 1. */
export function uploadPicture(
  file: File,
  onProgress: (part: number) => void = () => undefined,
  signal?: AbortSignal,
): Promise<UploadedOriginal> {
  return new Promise((resolve, reject) => {
    const sending = new XMLHttpRequest();
    sending.open("POST", "/api/pictures");
    sending.responseType = "json";
    sending.upload.onprogress = (event) =>
      onProgress(event.lengthComputable ? event.loaded / event.total : 0);
    sending.onload = () => {
      const answer = sending.response as {
        original?: UploadedOriginal;
        error?: { message: string; code: string };
      } | null;
      if (sending.status === 200 && answer?.original) resolve(answer.original);
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
export const acceptedPictures = "image/png,image/jpeg";
