import path from "node:path";
import { defineConfig } from "vitest/config";

export default defineConfig({
  resolve: { alias: { "@": path.resolve(import.meta.dirname, "src") } },
  test: {
    // Server tests start imaging processes, which takes a while on a busy machine.
    testTimeout: 20_000,
    include: ["src/**/*.test.ts", "demo/**/*.test.ts", "tests/unit/**/*.test.ts"],
    environment: "node",
    setupFiles: ["vitest.setup.ts"],
  },
});
