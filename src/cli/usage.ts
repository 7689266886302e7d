/** Errors of the command line: bad input leaves with 1, wrong usage with 2. Both are one clear line. */

export class BadInput extends Error {}
export class WrongUsage extends Error {}

export const usage = `still-line COMMAND
  compile FILE.json --for DESTINATION [--person FILE.json] [--base URL]
  receive FILE.html --client KIND [--mode light|dark] [--reply | --quoted TIMES]
          [--account own|other] [--display 100|125|150] [--json]
  import FILE [--report FILE.json]
  kit FILE.json --for KIND --out DIR [--name NAME] [--person FILE.json | --people LIST.csv]
      [--base URL] [--pictures hosted|carried] [--data DIR]
  graft FILE.json --into CLIENTFILE (--words WORDS | --whole) --out DIR [--short] [--person FILE.json]
        [--base URL] [--pictures hosted|carried] [--data DIR]
  send FILE.json --to ADDRESS --from ADDRESS --host HOST [--port PORT] [--security tls|starttls]
       [--user USER] [--short] [--pictures hosted|carried] [--person FILE.json]
       [--base URL] [--data DIR]
       (the password is read from STILL_LINE_SMTP_PASSWORD)
  code PERSON.json --of card|page --out FILE.png|FILE.svg [--size PX]
  fit FILE.json --people LIST.csv [--json]
  check FILE.json [--person FILE.json] [--base URL]
  backup FILE [--data DIR]
  restore FILE [--data DIR]`;
