import type { EntitySchema } from '@mikro-orm/core';

/**
 * A row as its readers see it, made from its entity once: by the server of a row it holds, by PostgreSQL of
 * the table's.
 */
interface RowView<Row, View> {
  of(row: Row): View;
  /** SQL: the same as JSON, in a query from the entity's table. */
  json: string;
}

/** A field of a view that is no property of the entity, or differs from it. */
interface Computed<Row> {
  of: (row: Row) => unknown;
  sql: string;
}

/** What no reader is shown as it is. */
const HIDDEN = ['workspaceId', 'removedAt'];

/**
 * Every property of the entity but the workspace's, and what is computed. A field of the view that the entity
 * does not have does not compile until it is computed here.
 */
export function rowView<View>() {
  return <Row extends object>(
    entity: EntitySchema<Row>,
    computed: Record<Exclude<keyof View, keyof Row>, Computed<Row>> & {
      [Field in keyof View]?: Computed<Row>;
    },
  ): RowView<Row, View> => {
    const known: Readonly<Record<string, Computed<Row>>> = {
      ...Object.fromEntries(
        Object.keys(entity.meta.properties)
          .filter((name) => !HIDDEN.includes(name))
          .map((name) => [name, { of: (row: Row) => row[name as keyof Row] ?? null, sql: columnOf(name) }]),
      ),
      ...computed,
    };
    return {
      of: (row) =>
        Object.fromEntries(Object.entries(known).map(([name, field]) => [name, field.of(row)])) as View,
      json: `json_build_object(${Object.entries(known)
        .map(([name, { sql }]) => `'${name}', ${sql}`)
        .join(', ')})`,
    };
  };
}

/** Whether a row was taken away. */
export const REMOVED: Computed<{ removedAt?: Date | null | undefined }> = {
  of: ({ removedAt }) => removedAt != null,
  sql: 'removed_at is not null',
};

function columnOf(property: string): string {
  return property.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
}
