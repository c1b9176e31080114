import { answerPlan, onlyPost } from '@/server/answerPlan';

export const POST = answerPlan;
export const GET = onlyPost;
export const PUT = onlyPost;
export const PATCH = onlyPost;
export const DELETE = onlyPost;
export const OPTIONS = onlyPost;
