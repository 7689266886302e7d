/** What of the tables no stand-in carries out, each with the reason. The tests count them and print the count. */
import { wordTable } from "../../values";
import type { Feature } from "./features";

/** Whole features: nothing that a stand-in does depends on them. */
export const unmodelledFeatures: Partial<Readonly<Record<Feature, string>>> = {
  "css-comments": "a comment in a style draws nothing, and is left out of every sheet",
  "html-comments": "comments draw nothing, and are left out of proofs, where they could hide markup",
  "html-doctype":
    "a proof is drawn in a document of its own; what changes without a doctype is held in the engines' table",
  "html-link": "a proof loads no style sheet from elsewhere",
  "html-meta-color-scheme": "whoever looks at a proof chooses its mode",
  "html-svg": "drawings inside the HTML are left out of every proof: they could hide what runs",
};

/** Single limits, by their sentences. */
export const unmodelledLimits = wordTable<string>({
  "Reported as unreliable: only the sixteen colour names of the first CSS level are said to work. Hex and rgb() are taken as kept here, and the doubt is told among the facts.":
    "doubtful; told among the facts",
  "In accounts with another provider style sheets are not supported, and their comments with them; a comment inside a style attribute is harmless.":
    "a comment draws nothing",
  "Large negative spacing is drawn differently from what CSS asks for.":
    "how it is drawn instead is not published",
  "Spacing given in em is drawn narrower than it should be.":
    "how much is not published; every compiled signature gives its spacing in px",
  "Heights in px and em are drawn unpredictably unless the exact line-height rule is set as well.":
    "how they are drawn instead is not published; every compiled document file sets the rule",
  "On paragraphs and div elements borders are drawn unreliably.": "when they are drawn is not published",
  "Whether overflow-block and overflow-inline work is up to the reader's browser.":
    "it is up to the browser here too",
  "What overflows cannot be scrolled into view.": "no proof can be scrolled",
  "The element is replaced by a div that takes over those attributes that the client supports.":
    "carried out for every kind: what a body says of itself goes on the element around the message",
  "In accounts with another provider, here the one behind the office suite, messages are drawn as if they had no doctype; in all others they are drawn as HTML5.":
    "a proof is drawn in a document of its own",
  "Sizes in attributes do not grow on displays set to 120 dpi.":
    "carried out for proofs at a larger scale of the display",
  "A percentage on a picture is taken of the picture file's own size, not of the element around it.":
    "carried out where pictures are drawn",
  "A percentage on a picture is taken of the picture file's own width, not of the element around it.":
    "carried out where pictures are drawn",
  "All cells of a row are drawn with the row's largest top and bottom padding.":
    "carried out where rows are drawn",
  "No border is drawn wider than 8 px.": "carried out where borders are drawn, in any unit",
  "A table inside a hidden element is not hidden with it.": "carried out where hidden elements are drawn",
  "The background colour is drawn into the margin as well.": "carried out where paragraphs are drawn",
  "Every picture is wrapped in a span, so it no longer floats to either side.":
    "carried out where pictures are drawn",
  "The sizes attribute stays, but the list of files that it is meant for is dropped.":
    "the table says that the list is dropped",
  "A style sheet inside the body does not work.": "this kind's settings take no style sheet at all",
  "A style sheet works only for what comes after it.":
    "carried out for a sheet that nothing comes after; one in between is drawn for the whole message",
  "Style sheets do not work in accounts with another provider.":
    "this kind's settings take no style sheet at all",
  "An embedded drawing is shown only if the body has a background of some kind, a colour or a picture.":
    "drawings inside the HTML are left out of every proof",
  "The attribute stays, but a link opens in a new window whatever it says.":
    "no link of a proof can be followed",
  "Loops do not move.": "carried out where loops are drawn",
  "In an account of the office suite's own subscription a loop runs three times, then stops behind a play button.":
    "a proof shows the first frame, which is what is left in the end",
  "Loops in this format do not move.": "carried out where loops are drawn",
});
