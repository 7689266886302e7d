/** The originals that people of the directory have in their fields. */
import { fieldsOf, isPictureField, readPictureDetail, typedValue } from "@/core/people";
import { directory } from "./directory";

/** Their content hashes. */
export async function picturesOfPeople(): Promise<ReadonlySet<string>> {
  const { typed } = await directory();
  return new Set(
    typed.flatMap(({ person }) =>
      fieldsOf([person])
        .filter(isPictureField)
        .flatMap((field) => readPictureDetail(typedValue(person, field))?.original ?? []),
    ),
  );
}
