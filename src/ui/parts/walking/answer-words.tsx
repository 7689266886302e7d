import type { LinkAnswer, LinkVerdict } from "@/core/links";

type Look = "fine" | "attention" | "broken";

const marks: Readonly<Record<Look, string>> = {
  fine: "rounded-full bg-lichen",
  attention: "rounded-t-full bg-clay",
  broken: "bg-rowan",
};

const words: Readonly<Record<LinkVerdict, readonly [Look, string]>> = {
  answers: ["fine", "Answers"],
  moved: ["attention", "Moved"],
  "other-host": ["attention", "Another host"],
  "sign-in": ["broken", "Asks to sign in"],
  refused: ["broken", "Refused"],
  "not-found": ["broken", "Not found"],
  "server-trouble": ["broken", "Server trouble"],
  "not-an-address": ["broken", "No address"],
  "private-address": ["broken", "Private network"],
  "no-such-host": ["broken", "No such host"],
  "no-connection": ["broken", "No connection"],
  certificate: ["broken", "Certificate trouble"],
  "too-slow": ["broken", "Timed out"],
  "too-many-redirects": ["broken", "Leads in circles"],
  "too-many-bytes": ["attention", "Very large"],
};

/** What answered, in a word or two. */
export const answerWord = ({ verdict }: LinkAnswer): string => words[verdict][1];

/** What answered, with a mark whose shape tells how bad it is as well. */
export function AnswerWords({ answer }: { answer: LinkAnswer }) {
  const [look, word] = words[answer.verdict];
  return (
    <>
      <span className="flex items-center gap-1.5 whitespace-nowrap">
        <span aria-hidden className={`h-2 w-2 shrink-0 ${marks[look]}`} />
        {word}
      </span>
      {answer.verdict !== "answers" && answer.redirects.length > 0 && (
        <span className="block truncate pl-3.5 text-xs text-soft" title={answer.redirects.join(" → ")}>
          → {(answer.redirects.at(-1) ?? "").replace(/^https?:\/\//, "")}
        </span>
      )}
      {answer.verdict === "answers" && answer.redirects.length > 0 && (
        <span className="block truncate pl-3.5 text-xs text-soft" title={answer.redirects.join(" → ")}>
          after leading on
        </span>
      )}
    </>
  );
}
