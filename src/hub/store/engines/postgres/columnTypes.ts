import type { ColumnDefinitionNode } from 'kysely';
import {
  DataTypeNode,
  GeneratedNode,
  type KyselyPlugin,
  OperationNodeTransformer,
  type QueryId,
  RawNode,
} from 'kysely';

/**
 * Writes the types of columns as PostgreSQL has them: numbers of changes outgrow four octets, and texts are put in order by their
 * code points, as SQLite does, whatever language the database was made for.
 */
class ColumnTypes extends OperationNodeTransformer {
  protected override transformColumnDefinition(
    node: ColumnDefinitionNode,
    id?: QueryId,
  ): ColumnDefinitionNode {
    const { autoIncrement, ...column } = super.transformColumnDefinition(node, id);
    const type = DataTypeNode.is(column.dataType) ? column.dataType.dataType : undefined;
    if (type === 'text') return { ...column, dataType: RawNode.createWithSql('text collate "C"') };
    if (type !== 'integer') return column;
    return {
      ...{ ...column, dataType: DataTypeNode.create('bigint') },
      ...(autoIncrement === true
        ? { generated: GeneratedNode.create({ identity: true, byDefault: true }) }
        : {}),
    };
  }
}

const types = new ColumnTypes();

/** The plugin of Kysely that does so. */
export const columnTypes: KyselyPlugin = {
  transformQuery: ({ node, queryId }) => types.transformNode(node, queryId),
  transformResult: async ({ result }) => result,
};
