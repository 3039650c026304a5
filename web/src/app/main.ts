// The worker is made before the page's own code is even read: planning is the longest part of a start.
import { warmPlanner } from '../workers/plannerWorker';
import './theme.css';

warmPlanner();
void import('./start');
