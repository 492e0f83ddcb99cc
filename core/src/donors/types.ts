export interface HarvestPart {
  id: string;
  title: string;
  why: string;
  /** Hard to find by itself: the last one in the shop is not let go without a word. */
  rare?: true;
}
export interface LabelRule {
  id: string;
  rule: string;
  why: string;
}
export interface DonorMoneyRule {
  id: string;
  subject: string;
  rule: string;
}
