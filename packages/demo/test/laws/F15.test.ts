import { holdTheLaws } from './holdTheLaws';

holdTheLaws('F15');
