// Runs in the page of a browser, for `scripts/film-demo.ts`: films a picture that moves and sounds as it is told, moment by
// moment, and gives the film's bytes in base64.
globalThis.film = async ({ picture, height, rate, moments, videoBitsPerSecond, audioBitsPerSecond }) => {
  const still = new Image();
  still.src = picture;
  await still.decode();
  const canvas = document.createElement('canvas');
  canvas.height = height;
  canvas.width = 2 * Math.round((still.width * height) / still.height / 2);
  const pen = canvas.getContext('2d');
  const audio = new AudioContext({ sinkId: { type: 'none' } });
  const noise = audio.createBufferSource();
  noise.buffer = audio.createBuffer(1, audio.sampleRate, audio.sampleRate);
  const samples = noise.buffer.getChannelData(0);
  for (let i = 0; i < samples.length; i++) samples[i] = Math.random() - 0.5;
  noise.loop = true;
  const level = audio.createGain();
  level.gain.value = 0;
  const out = audio.createMediaStreamDestination();
  noise.connect(level).connect(out);
  noise.start();
  const stream = canvas.captureStream(rate);
  stream.addTrack(out.stream.getAudioTracks()[0]);
  const recorder = new MediaRecorder(stream, {
    mimeType: 'video/webm;codecs=vp8,opus',
    videoBitsPerSecond,
    audioBitsPerSecond,
  });
  const pieces = [];
  recorder.ondataavailable = ({ data }) => pieces.push(data);
  const done = new Promise((resolve) => {
    recorder.onstop = resolve;
  });
  const draw = ({ lower, tall, loud }) => {
    // Hair hangs from the crown: what is lower moves farther.
    const rows = 4;
    for (let y = 0; y < height; y += rows) {
      const hangs = Math.min(1, Math.max(0, (y / height - 0.2) / 0.5));
      const from = y - height * hangs * (lower + (tall - 1) * (y / height - 0.2));
      const scale = still.height / height;
      pen.drawImage(still, 0, from * scale, still.width, rows * scale, 0, y, canvas.width, rows);
    }
    level.gain.setTargetAtTime(0.3 * loud, audio.currentTime, 0.02);
  };
  draw(moments[0]);
  recorder.start(500);
  const began = performance.now();
  await new Promise((resolve) => {
    const clock = setInterval(() => {
      const moment = moments[Math.floor(((performance.now() - began) / 1000) * rate)];
      if (moment) draw(moment);
      else {
        clearInterval(clock);
        resolve();
      }
    }, 1000 / rate);
  });
  recorder.stop();
  await done;
  for (const track of stream.getTracks()) track.stop();
  const bytes = new Uint8Array(await new Blob(pieces).arrayBuffer());
  let text = '';
  for (const byte of bytes) text += String.fromCharCode(byte);
  return btoa(text);
};
