/** Words by which clients recognise dates and street addresses in English text. */

/** Month names and the short forms that clients also read; a date needs a day beside them. */
export const monthNames: ReadonlySet<string> = new Set(
  (
    "january february march april may june july august september october november december " +
    "jan feb mar apr jun jul aug sep sept oct nov dec"
  ).split(" "),
);

/** What ends the name of a street; an address needs a house number before it. */
export const streetWords: ReadonlySet<string> = new Set(
  "street st road rd lane ln avenue ave close court drive way walk square terrace place row hill".split(" "),
);

/** What names a number that nobody dials. */
export const otherNumbers: ReadonlySet<string> = new Set(
  "isbn issn ean vat ust ustid iban bic company charity registered registration reg siret invoice order account ref reference".split(
    " ",
  ),
);
