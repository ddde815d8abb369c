export { ToolScreen as default } from '@/features/tools/ToolScreen';
