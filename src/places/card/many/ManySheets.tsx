import type { ManySheet, ManySheetProps } from '../parts/manySheet';
import { RhythmSheet } from '../talk/RhythmSheet';
import { ExportSheet } from './ExportSheet';
import { FieldSheet } from './FieldSheet';
import { ListsSheet } from './ListsSheet';
import { MoreSheet } from './MoreSheet';
import { SendManySheet } from './SendManySheet';
import { SourcesSheet } from './SourcesSheet';
import { TagsSheet } from './TagsSheet';

const SHEETS = {
  lists: ListsSheet,
  tags: TagsSheet,
  send: SendManySheet,
  more: MoreSheet,
  field: FieldSheet,
  rhythm: RhythmSheet,
  export: ExportSheet,
  sources: SourcesSheet,
} as const;

/** The sheet that is open. */
export function ManySheets({ sheet, ...props }: ManySheetProps & { readonly sheet: ManySheet }) {
  const Sheet = SHEETS[sheet];
  return <Sheet {...props} />;
}
