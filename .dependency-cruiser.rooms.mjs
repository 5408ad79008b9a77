/** Rooms stand above each other inside shop and ui, too. Tests are left out: they may reach across rooms to set a scene. */
import base from './.dependency-cruiser.cjs';

const rooms = {
  forbidden: [
    {
      name: 'no-arrow-back-up',
      severity: 'error',
      scope: 'folder',
      from: { path: '^src/(shop|ui)/' },
      to: { circular: true },
    },
  ],
  options: { ...base.options, exclude: { path: ['^\\.next', '\\.(test|fixture)\\.tsx?$'] } },
};
export default rooms;
