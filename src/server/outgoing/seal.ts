/**
 * Secrets as they are kept: AES-256 in GCM (NIST SP 800-38D). The key is made from STILL_LINE_SECRET, or lies in the data
 * folder, in a file that only its owner reads.
 */
import { createCipheriv, createDecipheriv, randomBytes, scryptSync } from "node:crypto";
import { mkdir, readFile, writeFile } from "node:fs/promises";
import path from "node:path";
import { dataFolder } from "../configuration";

const cipher = "aes-256-gcm";
const nonceLength = 12;
const tagLength = 16;

async function keyInFolder(): Promise<Buffer> {
  const file = path.join(dataFolder(), "secret.key");
  try {
    return await readFile(file);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== "ENOENT") throw error;
  }
  await mkdir(dataFolder(), { recursive: true });
  // Of two that make one at once, the first counts.
  await writeFile(file, randomBytes(32), { mode: 0o600, flag: "wx" }).catch(
    (error: NodeJS.ErrnoException) => {
      if (error.code !== "EEXIST") throw error;
    },
  );
  return readFile(file);
}

const key = (): Promise<Buffer> => {
  const secret = process.env.STILL_LINE_SECRET;
  return secret ? Promise.resolve(scryptSync(secret, "still-line outgoing mail", 32)) : keyInFolder();
};

/** The text so that only this key opens it; another one each time. */
export async function seal(text: string): Promise<string> {
  const nonce = randomBytes(nonceLength);
  const sealing = createCipheriv(cipher, await key(), nonce);
  const sealed = Buffer.concat([sealing.update(text, "utf8"), sealing.final()]);
  return Buffer.concat([nonce, sealing.getAuthTag(), sealed]).toString("base64");
}

/** Null for what another key has sealed, or what was changed since. */
export async function unseal(sealed: string): Promise<string | null> {
  const bytes = Buffer.from(sealed, "base64");
  try {
    const opening = createDecipheriv(cipher, await key(), bytes.subarray(0, nonceLength));
    opening.setAuthTag(bytes.subarray(nonceLength, nonceLength + tagLength));
    const text = Buffer.concat([opening.update(bytes.subarray(nonceLength + tagLength)), opening.final()]);
    return text.toString("utf8");
  } catch {
    return null;
  }
}
