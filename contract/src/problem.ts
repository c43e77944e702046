/** How every refusal looks on the wire. `fields` names each bad input by its path. */
export interface Problem {
  error:
    | 'bad-input'
    | 'not-found'
    | 'conflict'
    | 'rule'
    | 'too-large'
    | 'wrong-type'
    | 'too-many-requests'
    | 'database-away'
    | 'busy'
    | 'disk-full'
    | 'weather'
    | 'forbidden'
    | 'signed-out'
    | 'code-needed'
    | 'page-too-old'
    | 'internal';
  message: string;
  fields?: readonly FieldProblem[];
  /** For a conflict: what each side wants. */
  conflicts?: readonly Conflict[];
}

export interface FieldProblem {
  field: string;
  message: string;
}

/** Two people changed one thing: yours was not saved, theirs stands. */
export interface Conflict {
  id: string;
  /** "7 iron", "gamer bag". */
  name: string;
  /** The quantity or property. */
  field: string;
  yours: unknown;
  theirs: unknown;
  /** The version to send to have yours after all. */
  version: number;
}
