/** Reads a list of people beside the page, which stays usable while it does. */
import { readList, type ListRequest, type ReadList } from "@/core/people";

export interface PeopleListRequest {
  /** Counts the requests of a page: what is answered to an earlier one is of no use any more. */
  readonly number: number;
  readonly request: ListRequest;
}

export interface PeopleListAnswer {
  readonly number: number;
  readonly list: ReadList;
}

addEventListener("message", ({ data: { number, request } }: MessageEvent<PeopleListRequest>) => {
  const answer: PeopleListAnswer = { number, list: readList(request) };
  postMessage(answer);
});
