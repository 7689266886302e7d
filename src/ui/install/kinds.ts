/**
 * The kinds of client that a signature is installed in: what one does there, what it looks like when it went right, and what
 * commonly goes wrong.
 */
import { installSteps, type KitKind } from "@/core/install-kinds";

export interface InstallKind {
  readonly name: string;
  /** Who has it. */
  readonly about: string;
  readonly steps: readonly string[];
  /** What one sees when it went right. */
  readonly right: string;
  /** What goes wrong, and why. */
  readonly wrong: readonly (readonly [what: string, why: string])[];
  /** What the kit is, on its button. */
  readonly kit: string;
  /** Which file of the program's own the signature can be put into, and how it comes to be; left out where there is none. */
  readonly ownFile?: string;
}

export const installKinds: Readonly<Record<KitKind, InstallKind>> = {
  webmail: {
    name: "Webmail",
    about: "Mail that is read in a browser: the signature is pasted into a box of its settings.",
    steps: installSteps.webmail,
    right: "The box shows the signature as it looks above, and a new letter begins with it.",
    wrong: [
      ["Tags are seen instead of the signature", "the source was pasted: copy it as it looks."],
      ["It is gone the next day", "the settings were left without saving."],
      [
        "It is refused as too long",
        "common webmail takes 10,000 characters of HTML: see what costs most in the source.",
      ],
    ],
    kit: "both texts as files",
  },
  "desktop-document": {
    name: "Desktop, document engine",
    about:
      "Desktop mail that draws letters with a word processor’s engine, and keeps signatures as files in a folder.",
    steps: installSteps["desktop-document"],
    right:
      "A new letter shows the signature with its pictures, and the letter that arrives carries them along.",
    wrong: [
      ["Pictures are missing", "their folder does not lie beside the page, or was renamed."],
      ["The old signature is still there", "the program was open while the files were put in."],
      [
        "Letters with accents look wrong",
        "the page was opened and saved by another program: unpack the kit again.",
      ],
    ],
    kit: "page, rich text, plain text and pictures",
    ownFile:
      "Make a signature with one word in it there, and close the program. Bring the page that it made: the word makes room, and every other byte stays.",
  },
  "desktop-browser": {
    name: "Desktop, browser engine",
    about:
      "Desktop mail that draws letters with a browser’s engine, and keeps each signature as an archive under a code for a name.",
    steps: installSteps["desktop-browser"],
    right: "A new letter shows the signature, though the settings may show it plainer than it is sent.",
    wrong: [
      ["The one word is back", "the program was open, and wrote its own file again as it closed."],
      ["Nothing is shown", "the archive has another name than the one that the program looks for."],
    ],
    kit: "a web archive with its pictures",
    ownFile:
      "Make a signature with one word in it there, and close the program. Bring the newest file of its folder of signatures, whatever it is called: it keeps its name and all that it holds beside the signature.",
  },
  "desktop-open": {
    name: "Desktop, independent",
    about: "Desktop mail that attaches an HTML file as the signature of an account.",
    steps: installSteps["desktop-open"],
    right: "A new letter ends with the signature, pictures included.",
    wrong: [
      ["The file’s text is seen with its tags", "the signature is set to be plain text."],
      ["It is gone", "the file was moved from where the settings look for it."],
    ],
    kit: "one file that holds everything",
  },
  phone: {
    name: "Phone",
    about: "Mail on a phone, which takes what is copied from a letter.",
    steps: installSteps.phone,
    right:
      "A letter from the phone ends with the signature; many phones keep its links and drop its pictures.",
    wrong: [
      ["Only text is there", "this phone takes no pictures in a signature: the plain text is made for that."],
      [
        "It undoes itself",
        "shaking the phone, or another field, took the paste back: paste again and leave the settings.",
      ],
    ],
    kit: "a letter to yourself, and plain text",
  },
  anything: {
    name: "Anything else",
    about:
      "A draft to open and send, a saved page, a file that holds everything, plain text, and a contact card.",
    steps: installSteps.anything,
    right: "What is pasted looks as it does above.",
    wrong: [
      ["Pictures are missing", "your program pastes no pictures: it may take one of the files instead."],
    ],
    kit: "draft, page, file, plain text and card",
  },
};
