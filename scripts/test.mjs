/**
 * Every check there is, from a bare clone: installs what is missing, then format, lint, types, the dependency
 * rule, unit tests, a production build and the end-to-end tests. A part that fails does not keep the next from
 * running. The last line adds up all tests: `N passed, N failed`.
 */
import { existsSync, mkdirSync, readFileSync, rmSync } from "node:fs";
import path from "node:path";
import { buildApplication, installPackages, root, run, runHeard } from "./prepare.mjs";

const reports = path.join(root, ".still-line", "reports");
const chromium = process.env.STILL_LINE_CHROMIUM || "/usr/bin/chromium";
const bin = (name) => path.join(root, "node_modules", ".bin", name);

const total = { passed: 0, failed: 0 };
const failures = [];
/** What failed within a suite, told once more at the end, below everything that passed. */
const reasons = [];

const parts = [];

function count(name, passed, failed, begun) {
  total.passed += passed;
  total.failed += failed;
  if (failed > 0) failures.push(name);
  const took = `${((performance.now() - begun) / 1000).toFixed(0)} s`;
  parts.push(`${took.padStart(7)}  ${name}`);
  process.stdout.write(`== ${name}: ${passed} passed, ${failed} failed, ${took}\n`);
}

/** A check that passes or fails as a whole. */
async function check(name, action) {
  process.stdout.write(`\n== ${name}\n`);
  const begun = performance.now();
  let good = false;
  try {
    good = (await action()) === 0;
  } catch (error) {
    process.stdout.write(`${error.message}\n`);
  }
  count(name, good ? 1 : 0, good ? 0 : 1, begun);
  return good;
}

/** A check by commands, one after another; what the one that fails says is told again at the end. */
const checkBy = (name, ...commands) =>
  check(name, () => {
    for (const [command, args] of commands) {
      const { code, said } = runHeard(command, args);
      if (code === 0) continue;
      reasons.push(`${name}:\n${inShort(said.trim())}`);
      return code;
    }
    return 0;
  });

/** A test runner with a report of its own; one that breaks before it reports counts as a failure. */
function suite(name, report, action, read) {
  process.stdout.write(`\n== ${name}\n`);
  const begun = performance.now();
  const file = path.join(reports, report);
  rmSync(file, { force: true });
  const code = action(file);
  if (!existsSync(file)) return count(name, 0, 1, begun);
  const { passed, failed } = read(JSON.parse(readFileSync(file, "utf8")));
  count(name, passed, code !== 0 && failed === 0 ? 1 : failed, begun);
}

/** Each failed unit test by file and title, with the first lines of why: repeated where a report is read first. */
const failedIn = (testResults) =>
  testResults.flatMap(({ name, status, message, assertionResults }) => {
    const file = path.relative(root, name);
    const failed = assertionResults.filter((result) => result.status === "failed");
    if (failed.length === 0) return status === "failed" ? [`${file}: ${inShort(message)}`] : [];
    return failed.map(
      ({ fullName, failureMessages }) => `${file} › ${fullName}\n${inShort(failureMessages.join("\n"))}`,
    );
  });

/** The first lines of a message, none longer than a page is wide. */
const inShort = (message = "") =>
  message
    .split("\n")
    .slice(0, 16)
    .map((line) => `      ${line.slice(0, 400)}`)
    .join("\n");

/** Titles of the tests that passed only when they were run again. */
const flakyIn = (suites) =>
  suites.flatMap(({ title, specs = [], suites: inner = [] }) => [
    ...specs
      .filter(({ tests }) => tests.some(({ status }) => status === "flaky"))
      .map((spec) => `${title} › ${spec.title}`),
    ...flakyIn(inner),
  ]);

function installChromium() {
  if (existsSync(chromium)) return 0;
  if (process.getuid?.() !== 0) {
    process.stdout.write(
      `Chromium is not at ${chromium}. Install Debian's package (apt-get install chromium), or name it in STILL_LINE_CHROMIUM.\n`,
    );
    return 1;
  }
  const env = { DEBIAN_FRONTEND: "noninteractive" };
  if (run("apt-get", ["update", "-qq"], { env }) !== 0) return 1;
  return run("apt-get", ["install", "-y", "-qq", "--no-install-recommends", "chromium"], { env });
}

async function main() {
  const installed = await check("packages", () => {
    installPackages();
    return 0;
  });
  if (!installed) return finish();
  mkdirSync(reports, { recursive: true });
  const browser = await check("chromium", installChromium);
  await checkBy("format", [bin("prettier"), ["--check", "."]]);
  await checkBy("lint", [bin("eslint"), ["."]]);
  const types = await checkBy("types", [bin("next"), ["typegen"]], [bin("tsc"), ["--noEmit"]]);
  await checkBy("dependency rule", [
    bin("depcruise"),
    ["src", "demo", "--config", ".dependency-cruiser.cjs"],
  ]);
  await checkBy("unused code", [bin("knip"), []]);
  suite(
    "unit tests",
    "unit.json",
    (file) => run(bin("vitest"), ["run", "--reporter=dot", "--reporter=json", `--outputFile.json=${file}`]),
    // A file that does not load has no tests, so the files are counted as well.
    ({ numPassedTests, numFailedTests, testResults }) => {
      reasons.push(...failedIn(testResults));
      return {
        passed: numPassedTests,
        failed: Math.max(numFailedTests, testResults.filter(({ status }) => status === "failed").length),
      };
    },
  );
  const built = await check("build", async () => {
    // The types have been checked just now.
    await buildApplication({ always: true, skipTypes: types });
    return 0;
  });
  if (built) await check("built application", () => run(process.execPath, ["scripts/check-built.mjs"]));
  if (built && browser)
    suite(
      "end-to-end tests",
      "e2e.json",
      (file) =>
        run(bin("playwright"), ["test"], {
          env: { STILL_LINE_E2E_REPORT: file, STILL_LINE_CHROMIUM: chromium },
        }),
      ({ stats, errors, suites }) => {
        // One that failed once and passed when it was run again is to be mended before anything else.
        for (const title of flakyIn(suites)) process.stdout.write(`FLAKY: ${title}\n`);
        return {
          passed: stats.expected + stats.flaky,
          failed: stats.unexpected + stats.skipped + errors.length,
        };
      },
    );
  else count("end-to-end tests", 0, 1, performance.now());
  finish();
}

function finish() {
  process.stdout.write(`\n${parts.join("\n")}\n`);
  if (failures.length > 0) process.stdout.write(`\nFailed: ${failures.join(", ")}\n`);
  for (const reason of reasons) process.stdout.write(`  ${reason}\n`);
  process.stdout.write(`\n${total.passed} passed, ${total.failed} failed\n`);
  process.exitCode = total.failed > 0 ? 1 : 0;
}

await main();
