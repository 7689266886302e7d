/** The endpoints of the directory. */
import {
  fieldId,
  longestField,
  ownField,
  giving,
  personChanges,
  phoneForm,
  type Giving,
  type OwnField,
  type PhoneForm,
} from "@/core/people";
import { pictureToMake } from "@/core/signature";
import { choice, list, maybe, object, text } from "@/core/values";
import { get, post, put, remove } from "./endpoint";
import type { PersonGiven } from "./giving";
import type { Cut } from "./pictures";
import { chosenColumns, newOwnField, peopleForms, type PersonChoice, type PersonPortrait } from "./people";
import { longestSearch, mostAtOnce } from "./shelf";
import type { DirectoryPerson } from "./signatures";

const id = text(80);

/** The most that the JSON of a directory weighs; bytes. */
const wholeDirectory = 64 * 1024 * 1024;

/** What came of a change: what takes it back is known by, and who was changed. */
interface PeopleChanged {
  readonly change: string;
  readonly ids: readonly string[];
}

export const peopleEndpoints = {
  /** Everybody as signatures show them, or whoever one of them is given to. */
  listPeople: get("/api/people")
    .query(object({ signature: maybe(id) }))
    .json<{ people: readonly DirectoryPerson[] }>(),
  /** All or none; who comes needs no id. */
  changePeople: post("/api/people/changes")
    .body(object({ changes: personChanges }), wholeDirectory)
    .json<PeopleChanged>(),
  takeBackPeople: post("/api/people/changes/:change/back").json<PeopleChanged>(),
  /** What people have in a field, what most have first. */
  detailsIn: get("/api/people/details")
    .query(object({ field: fieldId }))
    .json<{ details: readonly string[] }>(),
  choosePeople: get("/api/people/choices")
    .query(object({ look: text(longestSearch) }))
    .json<{ choices: readonly PersonChoice[] }>(),
  keepColumns: put("/api/people/columns").body(chosenColumns).json<void>(),
  addOwnField: post("/api/people/fields").body(newOwnField).json<{ fields: readonly OwnField[] }>(),
  removeOwnField: remove("/api/people/fields")
    .body(object({ field: ownField }))
    .json<{ fields: readonly OwnField[] }>(),
  downloadPeople: get("/api/people/file")
    .query(
      object({
        form: choice(...peopleForms),
        look: maybe(text(longestSearch)),
        department: maybe(text(longestField)),
        order: maybe(text(80)),
      }),
    )
    .bytes(),
  /** Hosted paths of pictures of somebody who is called so, by what each is of; made where they are not there yet. */
  makeOwnPictures: post("/api/people/pictures")
    .body(
      object({
        name: text(longestField),
        pictures: list(pictureToMake, { least: 1, most: mostAtOnce, what: "pictures" }),
      }),
    )
    .json<{ pictures: Readonly<Record<string, string>>; cuts: readonly Cut[] }>(),
  keepPhoneForm: put("/api/people/phones").body(phoneForm).json<PhoneForm>(),
  /** Those of some people who are in the directory, as they were typed. */
  peopleRows: post("/api/people/rows")
    .body(object({ ids: list(id, { most: mostAtOnce, what: "people" }) }))
    .json<{ people: readonly DirectoryPerson[] }>(),
  /** Those of some people who are in the directory, with their portraits. */
  portraitRows: post("/api/people/portraits")
    .body(object({ ids: list(id, { most: mostAtOnce, what: "people" }) }))
    .json<{ people: readonly PersonPortrait[] }>(),
  /** What those of some people have who are in the directory. */
  peopleGiven: post("/api/people/given")
    .body(object({ ids: list(id, { most: mostAtOnce, what: "people" }) }))
    .json<{ people: readonly PersonGiven[] }>(),
  /** Gives a signature to others; answers with whom it was for before. */
  giveSignature: put("/api/signatures/:id/giving").body(giving).json<Giving>(),
  /** Everybody, as they were typed. */
  typedPeople: get("/api/people/typed").json<{ people: readonly DirectoryPerson[] }>(),
  findPerson: get("/api/people/:id").json<DirectoryPerson>(),
};
