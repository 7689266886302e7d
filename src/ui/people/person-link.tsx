import Link from "next/link";
import { calledOf } from "../parts/people/called";

interface Props {
  readonly id: string;
  readonly name: string;
}

/** Somebody in a list, leading to their page in the directory. */
export const PersonLink = ({ id, name }: Props) => (
  <Link href={`/people/${id}`} prefetch={false} className="truncate rounded-sm font-medium hover:text-pine">
    <bdi>{calledOf(name)}</bdi>
  </Link>
);
