export interface HarvestPart {
  id: string;
  title: string;
  why: string;
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
