import type { Predicted } from '../../core/layers';
import type { LogEntry } from '../../store/log';

/** What is filed of a job besides what was seen at the bench. */
export type JobLog = Pick<LogEntry, 'clothId' | 'layerIds' | 'settings'> & { predicted: Predicted };
