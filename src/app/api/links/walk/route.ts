import { array, object, string } from "yup";
import { readBody, route } from "@/server/http/route";
import { keepAnswer } from "@/server/links/answers";
import { walkLinks } from "@/server/links/walk";

const asked = object({
  addresses: array(string().required().max(2000, "An address has at most 2,000 characters."))
    .required()
    .max(200, "At most 200 links are walked at once."),
});

/** Walks web links; answers with a line of JSON for each as it comes. Leaving stops it. */
export const POST = route(async (request) => {
  const { addresses } = await readBody(request, asked);
  const stopped = new AbortController();
  request.signal.addEventListener("abort", () => stopped.abort());
  const encoder = new TextEncoder();
  const lines = new ReadableStream<Uint8Array>({
    async start(controller) {
      try {
        await walkLinks(
          addresses,
          async (answer) => {
            const kept = await keepAnswer(answer);
            if (!stopped.signal.aborted) controller.enqueue(encoder.encode(`${JSON.stringify(kept)}\n`));
          },
          stopped.signal,
        );
        if (!stopped.signal.aborted) controller.close();
      } catch (error) {
        process.stderr.write(`${(error as Error).stack}\n`);
        controller.error(error);
      }
    },
    cancel: () => stopped.abort(),
  });
  return new Response(lines, {
    headers: { "content-type": "application/x-ndjson", "cache-control": "no-store" },
  });
});
