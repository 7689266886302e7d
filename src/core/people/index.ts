export {
  emptyPerson,
  fieldLabels,
  fieldLink,
  fieldNames,
  fieldValue,
  type FieldName,
  type Person,
} from "./fields";
export { readPerson } from "./read-person";
export { buildCard } from "./vcard";
