import { holdTheLaws } from './holdTheLaws';

holdTheLaws('F8');
