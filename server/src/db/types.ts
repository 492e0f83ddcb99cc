import type { ColumnType, Generated, JSONColumnType } from 'kysely';
import type { Role } from '@bay/contract/crew';
import type { RecordKind } from '@bay/contract/records';
import type { UnitRole } from '@bay/contract/jobs';

type Stamp = ColumnType<Date, Date | string | undefined, Date | string>;
type Json<T extends object> = JSONColumnType<T>;

export interface Database {
  shop: { id: string; name: string; bays: Json<string[]>; next_job: Generated<number>; created_at: Stamp };
  person: {
    id: string;
    shop_id: string;
    name: string;
    initials: string;
    role: Role;
    email: string | null;
    password_hash: string | null;
    pin_hash: string | null;
    active: Generated<boolean>;
    created_at: Stamp;
  };
  customer: { id: string; shop_id: string; name: string; phone: string | null };
  unit: {
    id: string;
    shop_id: string;
    kind: 'car' | 'engine' | 'gearbox' | 'computer' | 'loom';
    name: string;
    identity: string | null;
    place: string;
    created_at: Stamp;
  };
  job: {
    id: string;
    shop_id: string;
    number: string;
    customer_id: string;
    wish: string;
    faults: string;
    bay: string | null;
    promised: string | null;
    station: string;
    signed: Json<string[]>;
    revision: Generated<number>;
    opened_at: Stamp;
    closed_at: Stamp | null;
  };
  job_unit: { shop_id: string; job_id: string; unit_id: string; role: UnitRole; left_at: Stamp | null };
  fact: {
    shop_id: string;
    bearer_id: string;
    fact_id: string;
    parts: Json<Record<string, number | string>>;
    typed: Json<Record<string, string>>;
    source: string;
    note: string | null;
    by_id: string;
    at: Stamp;
    revision: number;
  };
  fact_version: {
    id: Generated<number>;
    shop_id: string;
    bearer_id: string;
    fact_id: string;
    parts: Json<Record<string, number | string>>;
    typed: Json<Record<string, string>>;
    source: string;
    note: string | null;
    by_id: string;
    at: Stamp;
    revision: number;
  };
  record: {
    shop_id: string;
    bearer_id: string;
    job_id: string;
    kind: RecordKind;
    key: string;
    data: Json<Record<string, unknown>>;
    revision: number;
    by_id: string;
    at: Stamp;
  };
  log_entry: {
    id: Generated<number>;
    shop_id: string;
    job_id: string;
    kind: string;
    station: string | null;
    text: string;
    about: string | null;
    data: Json<Record<string, unknown>>;
    by_id: string;
    at: Stamp;
  };
  command: { id: string; shop_id: string; by_id: string; name: string; at: Stamp };
  command_reply: { command_id: string; shop_id: string; reply: Json<object> };
  shop_school: { shop_id: string; question: string; side: string; by_id: string; at: Stamp };
  rate: { key: string; hits: number; resets_at: Stamp };
}
