import { holdTheLaws } from './holdTheLaws';

holdTheLaws('F9');
