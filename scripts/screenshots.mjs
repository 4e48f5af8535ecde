// `npm run screenshots [-- NAME…]`: the main views, from the demo data, into docs/screenshots.
import { installDependencies } from './install.mjs';
import { stage, tell } from './stages.mjs';

try {
  await stage('Dependencies', installDependencies);
  const { register } = await import('tsx/esm/api');
  register();
  const { takePictures } = await import('./screenshots/pictures.ts');
  await takePictures(process.argv.slice(2));
  process.exit(0);
} catch (error) {
  tell(error);
  process.exit(1);
}
