/**
 * What one does to install a signature, step by step, for each kind of client: what the Install station and the page for a
 * colleague print, and what a rehearsal in the Mailroom follows. Words that a client would use for its own settings are left
 * to it.
 */
import type { KitKind } from "./kinds";

export const installSteps: Readonly<Record<KitKind, readonly string[]>> = {
  webmail: [
    "Copy the signature with the button below.",
    "Open the settings of your webmail and find the box for a signature.",
    "Empty the box, click into it and paste.",
    "Save there, and choose it for new letters, and for answers where it is to stand there too.",
    "Write to yourself with it, look at what arrives, and follow a link.",
  ],
  "desktop-document": [
    "Download the kit and unpack it.",
    "Close the mail program.",
    "Put the page, the rich text, the plain text and the folder of pictures into the program’s folder of signatures, side by side.",
    "Open the program and choose the signature by its name, for new letters and for answers.",
    "Write to yourself, look at what arrives, and follow a link.",
  ],
  "desktop-browser": [
    "In the program, make a new signature with one word in it, and close the program.",
    "Find the archive that it just made: the newest one in its folder of signatures.",
    "Download the kit, give it the very name of that archive, and put it in its place.",
    "Lock the file, so that the program does not write over it.",
    "Open the program, and choose the signature for new letters.",
    "Write to yourself, look at what arrives, and follow a link.",
  ],
  "desktop-open": [
    "Download the kit: one file that holds its pictures.",
    "Put it where it can stay.",
    "In the settings of your account, choose this file as its signature, and save.",
    "Write to yourself, look at what arrives, and follow a link.",
  ],
  phone: [
    "Download the letter, open it, and send it to yourself.",
    "On the phone, open it, hold a finger on the signature and select all of it.",
    "Copy it, and paste it into the signature of the account, in the phone’s settings of mail.",
    "Where pictures do not come along, paste the plain text instead.",
    "Write to yourself from the phone, look at what arrives, and follow a link.",
  ],
  anything: [
    "Download the kit and unpack it.",
    "Open the draft in your mail program, or the page in a browser.",
    "Select the signature, copy it, and paste it where your program keeps its own.",
    "Write to yourself, and look at what arrives.",
  ],
};
