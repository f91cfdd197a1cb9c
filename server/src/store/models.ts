import type { Role } from '@fulcrant/core/api';
import type { Instrument } from '@fulcrant/core/instruments';
import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  type Model,
  type ModelStatic,
  type Sequelize,
} from 'sequelize';

type Row<T extends Model> = ModelStatic<T>;

export interface PersonRow extends Model<InferAttributes<PersonRow>, InferCreationAttributes<PersonRow>> {
  id: string;
  name: string;
  role: Role;
  passwordHash: string;
  pinHash?: CreationOptional<string | null>;
  retiredAt: CreationOptional<Date | null>;
}
export interface SessionRow extends Model<InferAttributes<SessionRow>, InferCreationAttributes<SessionRow>> {
  tokenHash: string;
  id: string;
  personId: string;
  startedAt: Date;
  device: string;
  expiresAt: Date;
}
export interface InstrumentRow
  extends Model<InferAttributes<InstrumentRow>, InferCreationAttributes<InstrumentRow>> {
  id: string;
  name: string;
  kind: Instrument['kind'];
  step: number;
  low: number;
  high: number;
  calibrationDue?: string | undefined;
  serial?: string | undefined;
  standIn: CreationOptional<boolean>;
}
export interface HouseRulesRow
  extends Model<InferAttributes<HouseRulesRow>, InferCreationAttributes<HouseRulesRow>> {
  n: CreationOptional<number>;
  personId: string;
  at: Date;
  /** The rules whole, as JSON; the last row is in force. */
  rules: string;
}
export interface PositionRow
  extends Model<InferAttributes<PositionRow>, InferCreationAttributes<PositionRow>> {
  id: string;
  site: string;
  area: CreationOptional<string>;
  label: CreationOptional<string | null>;
  machine: string;
  position: string;
  /** The setup last used there, as JSON: the start of the next job; `null` where nothing was done there yet. */
  setup: string;
}
export interface JobRow extends Model<InferAttributes<JobRow>, InferCreationAttributes<JobRow>> {
  id: string;
  serial: CreationOptional<number>;
  positionId: string;
  state: 'open' | 'signed' | 'cancelled';
  eventCount: number;
  /** The board's line, as JSON, written in the same transaction as the events it sums up. */
  summary: string;
  /** The form of that line; another than today's is made anew in the background. */
  summaryVersion: CreationOptional<number>;
  machine: string;
  role: string | null;
  signedAt: Date | null;
  /** The link of its last event. */
  chain: string;
  openedAt: Date;
  updatedAt: Date;
}
export interface EventRow extends Model<InferAttributes<EventRow>, InferCreationAttributes<EventRow>> {
  id: string;
  jobId: string;
  seq: number;
  type: string;
  authorId: string;
  at: Date;
  storedAt: Date;
  body: string;
  /** Its link in the job's chain. */
  chain: string;
}
/** A sheet as it was signed; written once. */
export interface SheetRow extends Model<InferAttributes<SheetRow>, InferCreationAttributes<SheetRow>> {
  jobId: string;
  revision: number;
  hash: string;
  rules: string;
  origin: 'signed' | 'migrated';
  eventCount: number;
  chain: string;
  frozenAt: Date;
  sheet: string;
}

export type Models = {
  Person: Row<PersonRow>;
  Session: Row<SessionRow>;
  Instrument: Row<InstrumentRow>;
  Position: Row<PositionRow>;
  Job: Row<JobRow>;
  Event: Row<EventRow>;
  HouseRules: Row<HouseRulesRow>;
  Sheet: Row<SheetRow>;
};

const uuid = () => ({ type: DataTypes.CHAR(36), allowNull: false });
const text = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false });
/** A text a row may be without: then it is left out of what is told, as core leaves it out. */
const mayLack = (name: string, length: number) => ({
  type: DataTypes.STRING(length),
  allowNull: true,
  get(this: Model) {
    return this.getDataValue(name) ?? undefined;
  },
});
const json = () => ({ type: DataTypes.TEXT('medium'), allowNull: false });
const moment = () => ({ type: DataTypes.DATE(3), allowNull: false });

/** The tables as Sequelize sees them; the migrations make them. JSON is kept as text and parsed by the repositories. */
export function defineModels(s: Sequelize): Models {
  return {
    Person: s.define<PersonRow>(
      'Person',
      {
        id: { ...text(40), primaryKey: true },
        name: text(60),
        role: text(10),
        passwordHash: text(200),
        pinHash: DataTypes.STRING(200),
        retiredAt: DataTypes.DATE(3),
      },
      { tableName: 'people' },
    ),
    Session: s.define<SessionRow>(
      'Session',
      {
        tokenHash: { ...text(64), primaryKey: true },
        id: uuid(),
        personId: text(40),
        startedAt: moment(),
        device: text(160),
        expiresAt: moment(),
      },
      { tableName: 'sessions' },
    ),
    Instrument: s.define<InstrumentRow>(
      'Instrument',
      {
        id: { ...text(40), primaryKey: true },
        name: text(60),
        kind: text(20),
        step: DataTypes.DOUBLE,
        low: DataTypes.DOUBLE,
        high: DataTypes.DOUBLE,
        // What a gauge has none of is left out of what is told, as core leaves it out.
        calibrationDue: mayLack('calibrationDue', 10),
        serial: mayLack('serial', 40),
        standIn: { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false },
      },
      { tableName: 'instruments' },
    ),
    Position: s.define<PositionRow>(
      'Position',
      {
        id: { ...uuid(), primaryKey: true },
        site: text(80),
        area: { ...text(80), defaultValue: '' },
        label: DataTypes.CHAR(6),
        machine: text(80),
        position: text(80),
        setup: json(),
      },
      { tableName: 'positions' },
    ),
    Job: s.define<JobRow>(
      'Job',
      {
        id: { ...uuid(), primaryKey: true },
        serial: { type: DataTypes.INTEGER, autoIncrement: true, unique: true },
        positionId: uuid(),
        state: text(10),
        eventCount: { type: DataTypes.INTEGER, allowNull: false },
        summary: json(),
        summaryVersion: { type: DataTypes.INTEGER, allowNull: false, defaultValue: 0 },
        machine: text(80),
        role: DataTypes.STRING(10),
        signedAt: DataTypes.DATE(3),
        chain: text(64),
        openedAt: moment(),
        updatedAt: moment(),
      },
      { tableName: 'jobs' },
    ),
    Event: s.define<EventRow>(
      'Event',
      {
        id: { ...uuid(), primaryKey: true },
        jobId: uuid(),
        seq: { type: DataTypes.INTEGER, allowNull: false },
        type: text(40),
        authorId: text(40),
        at: moment(),
        storedAt: moment(),
        body: json(),
        chain: text(64),
      },
      { tableName: 'events' },
    ),
    Sheet: s.define<SheetRow>(
      'Sheet',
      {
        jobId: { ...uuid(), primaryKey: true },
        revision: { type: DataTypes.INTEGER, allowNull: false, primaryKey: true },
        hash: text(64),
        rules: text(80),
        origin: text(10),
        eventCount: { type: DataTypes.INTEGER, allowNull: false },
        chain: text(64),
        frozenAt: moment(),
        sheet: json(),
      },
      { tableName: 'sheets' },
    ),
    HouseRules: s.define<HouseRulesRow>(
      'HouseRules',
      {
        n: { type: DataTypes.INTEGER, autoIncrement: true, primaryKey: true },
        personId: text(40),
        at: moment(),
        rules: json(),
      },
      { tableName: 'house_rules' },
    ),
  };
}
