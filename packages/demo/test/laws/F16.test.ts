import { holdTheLaws } from './holdTheLaws';

holdTheLaws('F16');
