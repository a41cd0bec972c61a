import { askedVersion } from '../../../../server/askedVersion';
import { endpoint, param } from '../../../../server/endpoint';
import { planFileOf } from '../../../../server/planFile';
import { findPlan } from '../../../../server/plans';
import { workshop } from '../../../../server/workshop';

export const GET = endpoint((context) => {
  const open = workshop();
  const { plan, version } = findPlan(open, param(context, 'id'), askedVersion(context.url));
  const fileName = `${plan.name.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, '') || 'plan'}-${version}.plan.json`;
  return {
    body: planFileOf(open, plan),
    headers: { 'content-disposition': `attachment; filename*=UTF-8''${encodeURIComponent(fileName)}` },
  };
});
