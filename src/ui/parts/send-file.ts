import { request } from "./request";

/** Sends one file as a form. Rejects with a RequestError whose message can be shown. */
export function sendFile<T>(path: string, file: File): Promise<T> {
  const form = new FormData();
  form.set("file", file);
  return request<T>("POST", path, form);
}
