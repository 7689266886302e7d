import { format } from "date-fns";
import Link from "next/link";
import { notFound } from "next/navigation";
import { received, rewriteLinks } from "@/core/clients";
import { publicBase } from "@/server/addresses/public-address";
import { Refusal } from "@/server/http/refusal";
import { leadInside } from "@/server/mailroom/lead-inside";
import { openMessage } from "@/server/mailroom/mailroom";
import { localPictures } from "@/ui/parts/drawing/local-pictures";
import { SignatureFrame } from "@/ui/parts/drawing/signature-frame";

export const metadata = { title: "Letter · Malthouse Mail" };

interface Props {
  readonly params: Promise<{ person: string; message: string }>;
}

async function open(person: string, message: string) {
  try {
    return await openMessage(person, message);
  } catch (error) {
    if (error instanceof Refusal && error.status === 404) notFound();
    throw error;
  }
}

export default async function LetterPage({ params }: Props) {
  const { person, message } = await params;
  const letter = await open(person, message);
  const html =
    letter.html === null
      ? null
      : rewriteLinks(received(letter.html, "webmail-inline").html, (href) => leadInside(href, person));
  return (
    <article>
      <Link href={`/mailroom/${person}`} className="text-sm text-(--mm-act) underline">
        All letters
      </Link>
      <h1 className="mt-2 text-2xl font-bold">{letter.subject || "(no subject)"}</h1>
      <p className="mt-1 text-(--mm-soft)">
        From {letter.fromName} &lt;{letter.fromAddress}&gt; to {letter.toName || letter.toAddress},{" "}
        {format(letter.receivedAt, "d MMMM yyyy, HH:mm")}
      </p>
      <div className="mt-4 border-t border-(--mm-edge) pt-4">
        {html === null ? (
          <pre className="whitespace-pre-wrap font-sans">{letter.text}</pre>
        ) : (
          <SignatureFrame
            html={localPictures(html, await publicBase())}
            label="The letter"
            width={780}
            followable
          />
        )}
      </div>
      <details className="mt-6 border-t border-(--mm-edge) pt-3">
        <summary className="cursor-pointer text-sm text-(--mm-soft)">
          The letter as it came over the wire
        </summary>
        <pre
          className="mt-2 max-h-80 overflow-auto whitespace-pre-wrap font-mono text-xs [overflow-wrap:anywhere]"
          tabIndex={0}
        >
          {letter.raw}
        </pre>
      </details>
    </article>
  );
}
