/** What a person fills in and reads of a job: opening, form, parts, readings, board line. */

export { DEPTHS, type Depth } from '../engine/depth.ts';
export { inBoardOrder, type Wants, wantsOf } from '../job/board-order.ts';
export { boxesOf, type Opening, type Origin, openingFor } from '../job/opening.ts';
export { partFields, readPart, showPart } from '../job/part-card.ts';
export { PART_HEAD, type PartRow, partRows, partsFrom } from '../job/part-csv.ts';
export { readValue } from '../job/read-value.ts';
export { readingsTable, readReadingsTable } from '../job/readings-table.ts';
export { fieldsAsked, fromForm, type StartSetup, toForm } from '../job/setup-form.ts';
export { type JobSummary, type RailMark, SUMMARY_VERSION, summarise } from '../job/summary.ts';
