/** The mail server that tests are sent through. */
import { choice, complain, describeValue, object, text, words } from "@/core/values";

/** A port as it is typed. */
const port = describeValue<string, "port">("port", (value) =>
  typeof value === "string" && /^\d{1,5}$/.test(value) && Number(value) >= 1 && Number(value) <= 65535
    ? null
    : complain("a port from 1 to 65535", value),
);

/** One mail address as it stands in an envelope (RFC 5321, 4.1.2): nothing that could begin another command. */
export const mailAddress = describeValue<string, "mail">("mail", (value) =>
  typeof value === "string" &&
  value.length <= 254 &&
  /^[^\s<>"(),:;@[\]\\]{1,64}@[a-z0-9.-]{1,190}$/i.test(value)
    ? null
    : complain("one mail address", value),
);

/** How the line to the server is kept from others: from its first byte, or once both have agreed (RFC 8314). */
export const outgoingServer = object({
  host: words("A server", 253, "Name the server."),
  port,
  security: choice("tls", "starttls"),
  user: text(320),
  /** Left empty, the one that is kept stays. */
  password: text(500),
  from: mailAddress,
});

/** What is kept of it; the password never leaves the server. */
export interface OutgoingServer {
  readonly host: string;
  readonly port: string;
  readonly security: "tls" | "starttls";
  readonly user: string;
  readonly from: string;
  readonly hasPassword: boolean;
}
