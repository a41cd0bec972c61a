import type { RunFault } from '../../../core/run/checkEvent';
import { counted } from '../plural';

/** Why something can't follow what has happened in a run. */
export function explainRunFault(fault: RunFault): string {
  switch (fault.code) {
    case 'run-has-ended':
      return 'This run has ended: its bars can still be cut, wrapped and looked at, and the rest stays as it is.';
    case 'unknown-task':
      return `There is no task “${fault.taskId}” in this run.`;
    case 'already-done':
      return 'This task has been ticked already, perhaps on another screen. Undo it first to weigh again.';
    case 'already-poured':
      return 'Its jug is poured already, so nothing more goes in. Correct the weight instead, if it was another.';
    case 'not-a-weighing':
      return 'Nothing is weighed in this task. Tick it without a weight.';
    case 'needs-a-weight':
      return 'This task needs the weight that is on the scale.';
    case 'not-done-yet':
      return 'This task is open, so there is nothing to undo.';
    case 'not-optional':
      return 'Only a dose that the plan calls optional can be left out, or a pour while another of its round stays.';
    case 'not-a-skin':
      return 'Only a layer while its skin forms is touched.';
    case 'not-a-jug':
      return 'Only a jug that is melted is read.';
    case 'is-a-wait':
      return 'This passes by itself. Go on with what comes after it.';
    case 'needs-first':
      return `${fault.needs.length === 1 ? 'One task' : `${fault.needs.length} tasks`} must be done before this one: ${fault.needs.slice(0, 3).join(', ')}.`;
    case 'tasks-are-open':
      return `${fault.open} ${fault.open === 1 ? 'task is' : 'tasks are'} still open. Do them first, or give the run up.`;
    case 'not-felt':
      return 'Only what is still to be taken out or cut is felt.';
    case 'not-out-yet':
      return `Round ${fault.round + 1} is still in its mold. Take it out first, then look at it.`;
    case 'unknown-round':
      return `This run has no round ${fault.round + 1}.`;
    case 'too-many-pieces':
      return `That is ${counted(fault.seen, 'piece', 'pieces')}, and there are ${fault.made}. Write how many of them it is.`;
    case 'cut-already':
      return fault.blocks === 0
        ? 'All of it is cut already. Cut its pieces smaller instead, or take the cut back.'
        : `Only ${counted(fault.blocks, 'block is', 'blocks are')} left to cut.`;
    case 'more-than-is-there':
      return `${Math.round(fault.massG)} g is more than the ${Math.max(0, Math.floor(fault.restG))} g that this run has left, by what was weighed and what was set aside already. Weigh it again, or take something back.`;
    case 'unknown-entry':
      return 'This is not written down, or was taken back already.';
    case 'said-already':
      return 'This is written down already, perhaps on another screen.';
    case 'unknown-inspection':
      return 'This inspection is not there, or was taken back already.';
    case 'inspected-already':
      return 'This inspection is written down already, perhaps on another screen.';
  }
}
