;; What is reckoned four numbers at a time. Made into bytes.ts by `node --import tsx scripts/kernels.ts`.
(module
  (memory (export "memory") 1)

  ;; A line weighed with those beside it, by a curve that is the same to both sides:
  ;;   to[x] = curve[0] · from[0][x] + Σ curve[k] · (from[−k][x] + from[k][x]),  k = 1 … reach, x = 0 … until − 1
  ;; `lines` is where it stands in a table where the line of the middle begins; those before and after it stand about it.
  ;; Everything is told in bytes: `until` a multiple of 64, `reach` four times the curve's. Numbers are of 32 bits.
  (func (export "weigh")
    (param $lines i32) (param $to i32) (param $until i32) (param $curve i32) (param $reach i32)
    (local $x i32) (local $k i32) (local $a i32) (local $b i32) (local $w v128)
    (local $s0 v128) (local $s1 v128) (local $s2 v128) (local $s3 v128)
    (loop $stretch
      (local.set $a (i32.add (i32.load (local.get $lines)) (local.get $x)))
      (local.set $w (v128.load32_splat (local.get $curve)))
      (local.set $s0 (f32x4.mul (local.get $w) (v128.load (local.get $a))))
      (local.set $s1 (f32x4.mul (local.get $w) (v128.load offset=16 (local.get $a))))
      (local.set $s2 (f32x4.mul (local.get $w) (v128.load offset=32 (local.get $a))))
      (local.set $s3 (f32x4.mul (local.get $w) (v128.load offset=48 (local.get $a))))
      (local.set $k (i32.const 4))
      (block $weighed
        (loop $further
          (br_if $weighed (i32.gt_u (local.get $k) (local.get $reach)))
          (local.set $w (v128.load32_splat (i32.add (local.get $curve) (local.get $k))))
          (local.set $a
            (i32.add (i32.load (i32.sub (local.get $lines) (local.get $k))) (local.get $x)))
          (local.set $b
            (i32.add (i32.load (i32.add (local.get $lines) (local.get $k))) (local.get $x)))
          (local.set $s0 (f32x4.add (local.get $s0) (f32x4.mul (local.get $w)
            (f32x4.add (v128.load (local.get $a)) (v128.load (local.get $b))))))
          (local.set $s1 (f32x4.add (local.get $s1) (f32x4.mul (local.get $w)
            (f32x4.add (v128.load offset=16 (local.get $a)) (v128.load offset=16 (local.get $b))))))
          (local.set $s2 (f32x4.add (local.get $s2) (f32x4.mul (local.get $w)
            (f32x4.add (v128.load offset=32 (local.get $a)) (v128.load offset=32 (local.get $b))))))
          (local.set $s3 (f32x4.add (local.get $s3) (f32x4.mul (local.get $w)
            (f32x4.add (v128.load offset=48 (local.get $a)) (v128.load offset=48 (local.get $b))))))
          (local.set $k (i32.add (local.get $k) (i32.const 4)))
          (br $further)))
      (v128.store (i32.add (local.get $to) (local.get $x)) (local.get $s0))
      (v128.store offset=16 (i32.add (local.get $to) (local.get $x)) (local.get $s1))
      (v128.store offset=32 (i32.add (local.get $to) (local.get $x)) (local.get $s2))
      (v128.store offset=48 (i32.add (local.get $to) (local.get $x)) (local.get $s3))
      (br_if $stretch
        (i32.lt_u (local.tee $x (i32.add (local.get $x) (i32.const 64))) (local.get $until)))))

  ;; How many rows the nearest place of its own column that belongs is off, 65,535 where there is none: `mask` holds a byte a place,
  ;; `far` takes two; `width` a multiple of 16.
  (func (export "columns") (param $mask i32) (param $far i32) (param $width i32) (param $height i32)
    (local $at i32) (local $end i32) (local $line i32) (local $here v128) (local $one v128)
    (local.set $one (v128.const i16x8 1 1 1 1 1 1 1 1))
    (local.set $line (i32.shl (local.get $width) (i32.const 1)))
    ;; Downwards. Above the first row lies nothing that belongs.
    (local.set $end (i32.add (local.get $far) (i32.mul (local.get $line) (local.get $height))))
    (local.set $at (local.get $far))
    (loop $down
      (local.set $here (i8x16.ne (v128.load (local.get $mask)) (v128.const i64x2 0 0)))
      (if (i32.lt_u (i32.sub (local.get $at) (local.get $far)) (local.get $line))
        (then
          (v128.store (local.get $at) (v128.not (i16x8.extend_low_i8x16_s (local.get $here))))
          (v128.store offset=16 (local.get $at) (v128.not (i16x8.extend_high_i8x16_s (local.get $here)))))
        (else
          (v128.store (local.get $at) (v128.andnot
            (i16x8.add_sat_u (v128.load (i32.sub (local.get $at) (local.get $line))) (local.get $one))
            (i16x8.extend_low_i8x16_s (local.get $here))))
          (v128.store offset=16 (local.get $at) (v128.andnot
            (i16x8.add_sat_u (v128.load offset=16 (i32.sub (local.get $at) (local.get $line))) (local.get $one))
            (i16x8.extend_high_i8x16_s (local.get $here))))))
      (local.set $mask (i32.add (local.get $mask) (i32.const 16)))
      (br_if $down
        (i32.lt_u (local.tee $at (i32.add (local.get $at) (i32.const 32))) (local.get $end))))
    ;; And back up, from the last row but one.
    (local.set $at (i32.sub (local.get $end) (local.get $line)))
    (block $done
      (loop $up
        (br_if $done (i32.le_u (local.get $at) (local.get $far)))
        (local.set $at (i32.sub (local.get $at) (i32.const 16)))
        (v128.store (local.get $at) (i16x8.min_u (v128.load (local.get $at))
          (i16x8.add_sat_u (v128.load (i32.add (local.get $at) (local.get $line))) (local.get $one))))
        (br $up)))))
