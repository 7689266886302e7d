import path from "node:path";
import { fillDemo, serverPort, startServer } from "./server";

export default async function setUp(): Promise<() => Promise<void>> {
  const data = path.resolve(".still-line/e2e");
  await fillDemo(data, serverPort);
  const server = await startServer(data, serverPort);
  return server.kill;
}
