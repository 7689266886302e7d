import { mkdtemp, readFile, rm, stat } from "node:fs/promises";
import net, { type AddressInfo } from "node:net";
import os from "node:os";
import path from "node:path";
import { unzipSync } from "fflate";
import PostalMime from "postal-mime";
import { generate } from "selfsigned";
import { SMTPServer, type SMTPServerOptions } from "smtp-server";
import { afterAll, afterEach, beforeAll, describe, expect, it } from "vitest";
import { emptyPerson } from "@/core/people";
import { starterPatterns } from "@/core/signature";
import { database } from "../database/database";
import { settings } from "../database/schema";
import { downloadKit } from "../install/download-kit";
import { addPerson } from "../people/change-people";
import { describeSignature, startSignature } from "../signatures/signatures";
import { handOver, tryServer, type Letter, type MailServer } from "./hand-over";
import {
  findOutgoing,
  forgetOutgoing,
  keepOutgoing,
  sendTest,
  tryOutgoing,
  type WantedServer,
} from "./outgoing";
import { seal, unseal } from "./seal";

let folder: string;
/** A key, and a certificate for localhost that the tests trust. */
let pair: { key: string; cert: string };
const open: net.Server[] = [];
const taken: { from: string; to: readonly string[]; raw: string }[] = [];

beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-"));
  process.env.STILL_LINE_DATA = folder;
  const made = await generate([{ name: "commonName", value: "localhost" }], {
    extensions: [{ name: "subjectAltName", altNames: [{ type: 2, value: "localhost" }] }],
  });
  pair = { key: made.private, cert: made.cert };
});
afterEach(() => {
  for (const server of open.splice(0)) server.close();
  taken.length = 0;
});
afterAll(() => rm(folder, { recursive: true, force: true }));

/** A mail server of the tests; answers with its port. */
async function serve(options: SMTPServerOptions = {}): Promise<number> {
  const server = new SMTPServer({
    ...pair,
    authMethods: ["PLAIN", "LOGIN"],
    onAuth: ({ username, password }, _session, done) =>
      username === "ada" && password === "fen-seeds"
        ? done(null, { user: "ada" })
        : done(new Error("No such user")),
    onData: (stream, session, done) => {
      const chunks: Buffer[] = [];
      stream.on("data", (chunk: Buffer) => chunks.push(chunk));
      stream.on("end", () => {
        const { mailFrom, rcptTo } = session.envelope;
        taken.push({
          from: mailFrom ? mailFrom.address : "",
          to: rcptTo.map(({ address }) => address),
          raw: Buffer.concat(chunks).toString("utf8"),
        });
        done();
      });
    },
    ...options,
  });
  server.on("error", () => undefined);
  return new Promise((resolve) => {
    server.listen(0, "127.0.0.1", () => {
      open.push(server.server);
      resolve((server.server.address() as AddressInfo).port);
    });
  });
}

/** A server that speaks by hand. */
async function speak(told: (socket: net.Socket) => void): Promise<number> {
  const server = net.createServer((socket) => {
    socket.on("error", () => undefined);
    told(socket);
  });
  open.push(server);
  return new Promise((resolve) => {
    server.listen(0, "127.0.0.1", () => resolve((server.address() as AddressInfo).port));
  });
}

const at = (port: number, security: MailServer["security"], password = "fen-seeds"): MailServer => ({
  host: "localhost",
  port,
  security,
  user: "ada",
  password,
});
const letter: Letter = {
  from: "ada@harrowfen.example",
  to: "ada@harrowfen.example",
  raw: new TextEncoder().encode("Subject: A test\r\n\r\nSeeds\r\n"),
};
const trusting = () => ({ step: 4000, trusted: pair.cert });

describe("a letter is handed over", () => {
  it.each(["tls", "starttls"] as const)("once, by %s, with its very bytes", async (security) => {
    const port = await serve({ secure: security === "tls" });
    await tryServer(at(port, security), trusting());
    expect(taken).toEqual([]);
    await handOver(at(port, security), letter, trusting());
    expect(taken).toEqual([{ from: letter.from, to: [letter.to], raw: "Subject: A test\r\n\r\nSeeds\r\n" }]);
  });

  it("and what is wrong is said in a sentence", async () => {
    const port = await serve({ secure: true });
    const plain = await serve({ secure: false, hideSTARTTLS: true, disabledCommands: ["STARTTLS"] });
    const silent = await speak(() => undefined);
    const nowhere = await speak(() => undefined);
    open.pop()?.close();
    const trouble = (server: MailServer, patience = trusting()): Promise<unknown> =>
      tryServer(server, patience).then(
        () => "nothing",
        (error: unknown) => (error as Error).message,
      );
    expect(await trouble(at(port, "tls", "wrong"))).toBe("localhost does not take this user and password.");
    expect(await trouble({ ...at(port, "tls"), host: "no-such-host.invalid" })).toBe(
      "There is no server called no-such-host.invalid: look at its name.",
    );
    expect(await trouble(at(nowhere, "tls"))).toBe(
      `Nothing takes mail at localhost, port ${nowhere}: look at the port.`,
    );
    expect(await trouble({ ...at(port, "tls"), host: "127.0.0.1" })).toContain(
      "The certificate of 127.0.0.1 cannot be trusted",
    );
    expect(await trouble(at(port, "tls"), { step: 4000, trusted: "" })).toContain("cannot be trusted");
    expect(await trouble(at(plain, "tls"))).toContain("does not begin with TLS: choose STARTTLS");
    expect(await trouble(at(plain, "starttls"))).toContain("offers no STARTTLS");
    expect(await trouble(at(silent, "starttls"), { step: 300, trusted: pair.cert })).toContain(
      "took too long to answer",
    );
  });

  it("and nothing goes where a server refuses, or says that it may have gone where the line breaks at the end", async () => {
    const full = await serve({
      secure: true,
      onRcptTo: (_address, _session, done) =>
        done(Object.assign(new Error("Mailbox is full"), { responseCode: 452 })),
    });
    await expect(handOver(at(full, "tls"), letter, trusting())).rejects.toThrow(
      "does not take a letter from or to these addresses: 452 Mailbox is full",
    );
    let ended = 0;
    const broken = await serve({
      secure: true,
      onData: (stream) => {
        stream.resume();
        stream.on("end", () => {
          ended += 1;
          for (const server of open) server.close();
          (stream as unknown as { destroy: () => void }).destroy();
        });
      },
    });
    await expect(handOver(at(broken, "tls"), letter, { step: 800, trusted: pair.cert })).rejects.toThrow(
      "The letter may have gone: look for it before you send it again.",
    );
    expect(ended).toBe(1);
  });
});

describe("the kept server", () => {
  const wanted: WantedServer = {
    host: "localhost",
    port: "465",
    security: "tls",
    user: "ada",
    password: "fen-seeds",
    from: "ada@harrowfen.example",
  };

  it("is off until it is set up, and its password is nowhere in the clear", async () => {
    const signature = await startSignature(starterPatterns[0]?.document.toJSON());
    await expect(sendTest(signature, { to: wanted.from, form: "full", pictures: "hosted" })).rejects.toThrow(
      "Set up a mail server first",
    );
    expect(await findOutgoing()).toBeNull();
    await keepOutgoing(wanted);
    const { password, ...others } = wanted;
    expect(await findOutgoing()).toEqual({ ...others, hasPassword: true });
    const rows = await (await database()).select().from(settings);
    expect(JSON.stringify(rows)).not.toContain(password);
    expect((await stat(path.join(folder, "secret.key"))).mode & 0o777).toBe(0o600);
    expect(await readFile(path.join(folder, "secret.key"))).toHaveLength(32);
    // Its password stays while it is left empty, for the same server and user alone.
    await keepOutgoing({ ...wanted, password: "", port: "587" });
    expect(await findOutgoing()).toMatchObject({ port: "587", hasPassword: true });
    await keepOutgoing({ ...wanted, password: "", host: "elsewhere.example" });
    expect(await findOutgoing()).toMatchObject({ hasPassword: false });
    await forgetOutgoing();
    expect(await findOutgoing()).toBeNull();
  });

  it("opens a sealed password with its own key alone", async () => {
    const sealed = await seal("fen-seeds");
    expect(await unseal(sealed)).toBe("fen-seeds");
    expect(await seal("fen-seeds")).not.toBe(sealed);
    process.env.STILL_LINE_SECRET = "another";
    expect(await unseal(sealed)).toBeNull();
    expect(await unseal(await seal("é"))).toBe("é");
    delete process.env.STILL_LINE_SECRET;
    expect(await unseal("nonsense")).toBeNull();
  });

  it("takes a signature as the letter of its kit, its headers whole whatever the names hold", async () => {
    await addPerson("eve", {
      ...emptyPerson,
      name: "Eve\r\nBcc: all@harrowfen.example",
      mail: "eve@harrowfen.example",
    });
    const signature = await startSignature(
      starterPatterns[0]?.document.toJSON(),
      "One\r\nBcc: two@harrowfen.example",
    );
    await describeSignature(signature, { personId: "eve" });
    const port = String(await serve({ secure: true }));
    await keepOutgoing({ ...wanted, port });
    await tryOutgoing({ ...wanted, port, password: "" }, trusting());
    await sendTest(signature, { to: "eve@harrowfen.example", form: "full", pictures: "hosted" }, trusting());
    expect(taken).toHaveLength(1);
    expect(taken[0]).toMatchObject({ from: wanted.from, to: ["eve@harrowfen.example"] });
    const read = await PostalMime.parse(taken[0]?.raw ?? "");
    expect(read.bcc).toBeUndefined();
    expect(read.html).toContain("<table");
    // The very bytes of the kit's letter, but for the line end that ends every letter on its way.
    const zip = unzipSync((await downloadKit(signature, "phone")).bytes);
    const [letter] = Object.entries(zip).filter(([name]) => name.endsWith(".eml"));
    expect(taken[0]?.raw).toBe(new TextDecoder().decode(letter?.[1]));
  });
});
