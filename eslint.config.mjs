import js from "@eslint/js";
import globals from "globals";
import reactHooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

export default tseslint.config(
  {
    ignores: [
      ".next/**",
      "dist/**",
      ".still-line/**",
      "node_modules/**",
      "next-env.d.ts",
      "shots/**",
      "test-results/**",
    ],
  },
  js.configs.recommended,
  tseslint.configs.recommended,
  tseslint.configs.stylistic,
  reactHooks.configs.flat["recommended-latest"],
  {
    languageOptions: { globals: { ...globals.node, ...globals.browser } },
    rules: {
      "@typescript-eslint/consistent-type-imports": "error",
      "@typescript-eslint/no-non-null-assertion": "off",
      // Reading untrusted text means naming the control characters that are refused in it.
      "no-control-regex": "off",
      eqeqeq: "error",
      "no-console": "error",
    },
  },
  {
    files: ["**/*.ts", "**/*.tsx"],
    extends: [tseslint.configs.recommendedTypeChecked],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
  },
  {
    // What a test hands to code that waits need not wait itself.
    files: ["**/*.test.ts", "tests/**"],
    rules: { "@typescript-eslint/require-await": "off" },
  },
  { files: ["scripts/**"], rules: { "no-console": "off" } },
);
