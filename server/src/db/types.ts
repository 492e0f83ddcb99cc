import type { OwnLine } from '@bay/core/memory';
import type { ColumnType, Generated, JSONColumnType } from 'kysely';
import type { PartValue } from '@bay/core/facts';
import type { Role } from '@bay/contract/crew';
import type { RecordKind } from '@bay/contract/records';
import type { ClockRow } from '@bay/contract/clock';
import type { UnitRole } from '@bay/contract/jobs';
import type { OwnQuote, paymentSorts, Quote } from '@bay/contract/money';
import type { WorkKind } from '@bay/core/clock';
import type { OrderSort } from '@bay/core/orders';
import type { PartFate, PlaceSort } from '@bay/core/parts';
import type { StationId } from '@bay/core/jobs';

type Stamp = ColumnType<Date, Date | string | undefined, Date | string>;
type Json<T extends object> = JSONColumnType<T>;

/** What of a quote is kept as it was made. */
export type QuoteContent = Pick<
  OwnQuote,
  'lines' | 'taxes' | 'exclusions' | 'note' | 'waits' | 'open' | 'asExtra' | 'despite'
> &
  // Quotes of before it was said have none.
  Partial<Pick<OwnQuote, 'foreseen'>> & {
    /** Hours by station as they were reckoned, before any history was laid over them. */
    reckoned?: Readonly<Record<string, number>>;
  };

export interface Database {
  shop: {
    id: string;
    name: string;
    bays: Json<string[]>;
    next_job: Generated<number>;
    currency: Generated<string>;
    created_at: Stamp;
  };
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
    left_at: Date | null;
    created_at: Stamp;
  };
  shop_terms: {
    shop_id: string;
    hour_rate: number | null;
    hour_cost: number | null;
    price_unit: number | null;
    markup: number;
    sundries: number;
    tax: number;
    deposit: number;
    valid_days: number;
    revision: number;
    by_id: string;
    at: Stamp;
  };
  quote: {
    shop_id: string;
    job_id: string;
    number: number;
    content: Json<QuoteContent>;
    net: number;
    gross: number;
    deposit: number;
    valid_until: string;
    state: Quote['state'];
    made_by: string;
    made_at: Stamp;
    answered_by: string | null;
    answered_at: Stamp | null;
    declined: Json<string[]>;
    answer_text: Generated<string>;
    answered_gross: number | null;
    answered_net: number | null;
  };
  purchase: {
    shop_id: string;
    id: string;
    number: number;
    sort: OrderSort;
    supplier_id: string;
    ordered_on: string;
    promised_on: string | null;
    reference: Generated<string>;
    tracking: Generated<string>;
    note: Generated<string>;
    /** Something is still to come, or to be settled. */
    open: Generated<boolean>;
    by_id: string;
    at: Stamp;
    revision: Generated<number>;
  };
  purchase_line: {
    shop_id: string;
    id: string;
    purchase_id: string;
    job_id: string;
    kit_id: string | null;
    title: string;
    options: Generated<string>;
    count: number;
    came: Generated<number>;
    wrong: Generated<number>;
    sent_back: Generated<number>;
    cancelled: Generated<boolean>;
    step: string | null;
    despite: string | null;
    /** What came in its place and was taken for it. */
    instead: string | null;
    owed: Generated<number>;
    given: Generated<number>;
    owed_by: string | null;
  };
  sent_back: {
    shop_id: string;
    id: string;
    purchase_id: string;
    line_id: string;
    count: number;
    reason: string;
    on_day: string;
    until_day: string | null;
    settled: Generated<boolean>;
    by_id: string;
    at: Stamp;
  };
  purchase_amount: {
    shop_id: string;
    of_id: string;
    sort: 'price' | 'freight' | 'back' | 'deposit';
    purchase_id: string;
    amount: number;
    by_id: string;
    at: Stamp;
  };
  payment: {
    shop_id: string;
    id: string;
    job_id: string;
    sort: (typeof paymentSorts)[number];
    amount: number;
    on_day: string;
    note: string;
    by_id: string;
    at: Stamp;
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
    withdrawn_at: Stamp | null;
    closed_at: Stamp | null;
  };
  job_unit: { shop_id: string; job_id: string; unit_id: string; role: UnitRole; left_at: Stamp | null };
  fact: {
    shop_id: string;
    bearer_id: string;
    fact_id: string;
    parts: Json<Record<string, PartValue>>;
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
    parts: Json<Record<string, PartValue>>;
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
    /** Signed by one where two are wanted. */
    half_signed: Generated<boolean>;
  };
  /** All records in one shape, wherever they lie: a view. */
  recorded: {
    shop_id: string;
    bearer_id: string;
    job_id: string;
    kind: RecordKind;
    key: string;
    data: Json<Record<string, unknown>>;
    revision: number;
    by_id: string;
    at: Stamp;
    half_signed: boolean;
  };
  supplier: { id: string; shop_id: string; name: string; revision: Generated<number>; created_at: Stamp };
  part: {
    id: string;
    shop_id: string;
    job_id: string;
    key: string;
    take_id: string;
    title: string;
    label: string;
    place: string;
    condition: string;
    variant: string | null;
    fate: PartFate;
    for_job: string | null;
    revision: number;
    at: Stamp;
  };
  bag: {
    id: string;
    shop_id: string;
    job_id: string;
    key: string;
    what: string;
    label: string;
    place: string | null;
    count: number | null;
    back_at: Stamp | null;
    revision: number;
    at: Stamp;
  };
  store_place: {
    shop_id: string;
    id: string;
    name: string;
    sort: PlaceSort;
    left_at: number;
    top_at: number;
    wide: number;
    high: number;
    dry: boolean;
    holds: number | null;
    revision: Generated<number>;
  };
  kit_line: {
    shop_id: string;
    job_id: string;
    key: string;
    status: string;
    despite: string | null;
    supplier_id: string | null;
  };
  money: { shop_id: string; job_id: string; kind: RecordKind; key: string; amount: number; by_id: string; at: Stamp };
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
    received_at: Stamp;
    command_id: string | null;
  };
  log_mark: {
    id: Generated<number>;
    shop_id: string;
    entry_id: number;
    kind: 'corrected' | 'struck' | 'undone';
    text: string;
    by_id: string;
    at: Stamp;
  };
  command_undone: { command_id: string; shop_id: string; by_command: string };
  clock: {
    id: string;
    shop_id: string;
    job_id: string;
    person_id: string;
    about: string | null;
    title: string;
    station: StationId;
    work: WorkKind;
    redoes: string | null;
    estimate: Json<number[]> | null;
    started_at: Stamp;
    ended_at: Stamp | null;
    corrections: Json<ClockRow['corrections']>;
    revision: Generated<number>;
  };
  photo_blob: { photo_id: string; shop_id: string; size: 'original' | 'screen' | 'thumb'; mime: string; bytes: Buffer };
  looked: { shop_id: string; job_id: string; person_id: string; log_id: number; at: Stamp };
  customer_link: {
    id: string;
    shop_id: string;
    job_id: string;
    token_hash: string;
    made_by: string;
    made_at: Stamp;
    ends_at: Stamp;
    revoked_at: Stamp | null;
  };
  session: { sid: string; sess: Json<Record<string, unknown>>; expire: Date };
  command: { id: string; shop_id: string; by_id: string; name: string; at: Stamp; digest: string | null };
  command_reply: { command_id: string; shop_id: string; reply: Json<object> };
  job_version: { shop_id: string; job_id: string; version: number };
  job_digest: { shop_id: string; job_id: string; version: number; basis: string; digest: Json<object> };
  shop_school: { shop_id: string; question: string; side: string; by_id: string; at: Stamp };
  shop_rule: {
    shop_id: string;
    id: string;
    line: Json<OwnLine>;
    condition: string;
    by_id: string;
    at: Stamp;
    ended_at: Date | null;
    ended_by: string | null;
    ended_why: string | null;
  };
  try_count: { key: string; failed: number; until: Stamp | null; at: Stamp };
}
