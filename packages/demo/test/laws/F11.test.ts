import { holdTheLaws } from './holdTheLaws';

holdTheLaws('F11');
