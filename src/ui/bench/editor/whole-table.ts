/** Turns away what would leave the signature without a table of cells, whatever selection led to it. */
import { Plugin } from "prosemirror-state";
import { outerTable, tableMap } from "@/core/signature";

export const wholeTable = new Plugin({
  filterTransaction: ({ docChanged, doc }) => !docChanged || tableMap(outerTable(doc)).columns > 0,
});
