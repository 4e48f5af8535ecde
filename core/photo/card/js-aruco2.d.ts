declare module 'js-aruco2';
