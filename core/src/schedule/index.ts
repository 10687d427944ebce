export { PlanAway, PlanFault, PlanLag, type Planned, PlanProblem, PlanResource, PlanTask } from './model'
export { plan, type PlanOptions } from './plan'
