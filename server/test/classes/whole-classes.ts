/**
 * Whole classes as an experienced, careful colleague holds them: three disciplines, 20 to 60 minutes, all ages. Each line is a section;
 * its items are named by movement, with a dose and a way of teaching as one types them, `left`, `right` or `lead` for a side that is
 * not the usual one, and `new` for what the group has not met. No class is changed to please a check.
 */
export const wholeClasses = `
= Puffins roll like seals | gymnastics | 30 min | ages 4 5 5 6 6 | first grade overhand
opening: hello-circle 40s
safety: safety-and-space-talk 45s
warm-up: jog-on-the-spot 60s; traffic-light 2 min; star-jumps 1x8
mobilise: arm-circles 1x6; ankle-rocks 1x6; cat-and-cow 1x5; wrist-wake-up 1x6; neck-nods 1x4
basics: straight-stand 2x4s; tuck-sit 2x4s; straddle-sit 2x5s; landing-position 1x5; drink-break 40s
drills: tuck-rock 2x6; bear-walk 40s; crab-walk 30s; egg-roll 1x4
skill: log-roll 2x4 new; rock-to-stand 3x4
combination: drink-break 30s; shape-caller 2 min; boat-crew 2 min; fog-and-lighthouse 90s
cool-down: seated-fold 2x8s; butterfly 1x8s; shell-rest 20s; balloon-breath 60s
closing: home-task-talk 40s; wave-goodbye 30s

= Kittiwakes learn the cartwheel's feet | gymnastics | 35 min | ages 7 7 8 8 9 9 | grade reef
opening: hello-circle 40s
safety: safety-and-space-talk 60s
warm-up: jog-on-the-spot 90s; star-jumps 2x10; heel-kicks 30s; side-steps 40s; high-knees 30s
mobilise: arm-circles 1x8; shoulder-rolls 1x6; wrist-wake-up 1x8; hip-circles 1x6; leg-swings 1x8; straddle-sit 2x10s; butterfly 1x10s
basics: straddle-stand 2x8s; star-shape 2x5s; drink-break 40s
drills: bear-walk 40s; bunny-hop 2x6; lever 2x5s; wrist-relief 30s; lever-kick 2x4
skill: cartwheel-over-line 3x4 new; drink-break 40s; cartwheel 2x4
strength: boat-hold 2x15s; hip-lift 2x10; curl-ups 2x8
combination: line-routine 2x1
cool-down: pancake 1x15s; split-slide 1x15s; low-lunge-stretch 1x15s; shell-rest 30s; slow-breathing 60s
closing: praise-round 40s; home-task-talk 45s; wave-goodbye 20s

= Jumps and landings | gymnastics | 35 min | ages 7 8 8 9 | grade clove
opening: hello-circle 30s
safety: safety-and-space-talk 60s
warm-up: jog-on-the-spot 90s; high-knees 30s; heel-kicks 30s; ski-jumps 30s; deep-squat 1x8
mobilise: ankle-rocks 1x10; hip-circles 1x6; leg-swings 1x8; knee-to-chest-walk 1x8; arm-circles 1x8
basics: straight-stand 2x5s; landing-position 2x5; stork-balance 2x8s; drink-break 30s
drills: frog-jump 2x5
skill: straight-jump 2x6; half-turn-jump 2x4; tuck-jump 2x5 new; drink-break 40s; cat-leap 2x3
strength: wall-sit 2x20s; curl-ups 2x10; single-leg-hip-lift 2x6; lunge-steps 2x8
combination: stick-it 60s; drink-break 30s; floor-routine-one 2x1; shape-caller 60s
cool-down: quad-stretch-standing 1x15s; calf-stretch-wall 1x15s; seated-fold 1x20s; legs-up-rest 60s; slow-breathing 60s
closing: thumbs-check 30s; home-task-talk 50s; wave-goodbye 20s

= Backs and bridges | gymnastics | 45 min | ages 10 11 11 12 | grade figure-eight
opening: hello-circle 30s
safety: safety-and-space-talk 60s
warm-up: jog-on-the-spot 2 min; star-jumps 3x12; side-steps 60s; high-knees 40s; heel-kicks 40s
mobilise: neck-nods 1x6; shoulder-rolls 1x8; arm-circles 1x10; wrist-wake-up 1x10; trunk-twists 1x10; cat-and-cow 1x8; thread-the-needle 1x6; low-lunge-stretch 1x10s; seated-fold 1x10s; drink-break 40s
basics: arch-shape 2x10s; tuck-hug-rock 1x5; boat-hold 2x20s; hip-lift 2x8
drills: bridge 2x8s; tuck-hug-rock 1x5; wrist-relief 30s
skill: bridge-rock 2x6; shell-rest 20s; bridge-kick-leg 2x5s new; tuck-hug-rock 1x6; drink-break 60s; straight-jump 2x6; half-turn-one-leg 2x4; full-turn-one-leg 2x3
strength: plank-on-elbows 2x30s; tuck-ups 3x10; single-leg-hip-lift 2x8; drink-break 40s
combination: floor-routine-one 4x1
cool-down: split-slide 1x25s; pancake 1x30s; box-split 1x20s; supine-twist 1x20s; shell-rest 40s; body-scan 2 min
closing: praise-round 60s; home-task-talk 60s; wave-goodbye 20s

= Upside down at the wall | gymnastics | 35 min | ages 9 10 10 11 | grade figure-eight
opening: hello-circle 30s
safety: safety-and-space-talk 60s
warm-up: jog-on-the-spot 90s; star-jumps 2x12; side-steps 40s; heel-kicks 30s
mobilise: arm-circles 1x8; shoulder-rolls 1x8; wrist-wake-up 1x10; neck-nods 1x5; leg-swings 1x8; straddle-sit 1x10s
basics: straight-stand 2x8s; star-shape 1x8s; drink-break 30s
drills: high-plank 2x20s; lever 2x5s; wrist-relief 40s; donkey-kick 2x4
skill: lever-kick 2x4; wrist-relief 30s; wall-handstand 3x10s; drink-break 60s; kick-to-handstand 3x2 new
strength: boat-hold 3x20s; dish-rocks 2x10; hip-lift 2x12
combination: drink-break 30s; shape-caller 2 min
cool-down: arm-across 1x15s; elbow-behind-head 1x15s; seated-fold 1x20s; butterfly 1x20s; shell-rest 30s; wave-breath 60s
closing: term-review 40s; home-task-talk 45s; wave-goodbye 20s

= Twenty minutes before school | gymnastics | 20 min | ages 8 9 10 | grade reef
opening: hello-circle 20s
safety: safety-and-space-talk 40s
warm-up: jog-on-the-spot 60s; star-jumps 2x10; high-knees 30s
mobilise: arm-circles 1x6; hip-circles 1x5; cat-and-cow 1x6
skill: stork-balance 2x8s; lever 2x6s; pivot-turn 2x3; half-turn-one-leg 2x3
strength: lunge-steps 2x8; boat-hold 2x15s; hip-lift 2x10; curl-ups 2x8
cool-down: low-lunge-stretch 1x15s; seated-fold 1x15s; butterfly 1x15s; slow-breathing 40s
closing: home-task-talk 30s; wave-goodbye 15s

= Rolls for the middle group | gymnastics | 30 min | ages 6 7 7 8 | grade clove
opening: hello-circle 40s
safety: safety-and-space-talk 60s
warm-up: jog-on-the-spot 60s; animals-of-the-shore 90s; star-jumps 1x10; side-steps 30s
mobilise: neck-nods 1x6; shoulder-rolls 1x6; wrist-wake-up 1x8; cat-and-cow 1x6; seated-fold 1x8s
basics: tuck-sit 2x5s; pike-sit 2x5s; straddle-sit 2x8s; drink-break 40s
drills: tuck-rock 2x6; rock-to-stand 2x5; bear-walk 30s; bunny-hop 1x6
skill: forward-roll 3x4; drink-break 40s; backward-roll 2x3 new
strength: high-plank 2x12s; boat-hold 2x12s; hip-lift 2x8
combination: traffic-light 2 min; shape-caller 90s
cool-down: butterfly 1x10s; happy-baby-hold 1x10s; shell-rest 30s; squeeze-and-melt 60s
closing: praise-round 30s; home-task-talk 45s; wave-goodbye 20s

= Little dancers by the sea | dance | 20 min | ages 4 4 5 5 6 | first grade first-light
opening: opening-reverence 30s
safety: safety-and-space-talk 45s
warm-up: march-in-time 4x8 @ 104; skips 4x8 @ 104; freeze-in-a-picture 90s
mobilise: arm-waves 2x8 @ 96; butterfly-flaps 1x10; feet-point-flex 2x8 @ 90
basics: first-position 2x5s; demi-plie 4x8 @ 92; releve 2x8 @ 92; drink-break 40s
drills: run-on-toes 4x8 @ 108; tendu 2x8 @ 88 new
skill: passe-balance 2x4s; saute 2x5
combination: mirror-dance 90s; drink-break 30s; story-walk 2 min
cool-down: cool-sway 2x8 @ 80; seated-fold 1x8s; shell-rest 15s; balloon-breath 40s
closing: home-task-talk 40s; opening-reverence 30s

= Tide Pool turns | dance | 35 min | ages 7 7 8 8 9 | grade morning
opening: opening-reverence 40s
safety: safety-and-space-talk 60s
warm-up: travelling-walks 4x8 @ 108; step-touch 4x8 @ 108; groove-bounce 4x8 @ 108; march-in-time 4x8 @ 116
mobilise: isolations-head 2x8 @ 90; isolations-shoulders 2x8 @ 96; spine-roll 1x4; leg-swings 1x8; hip-circles 1x5
basics: first-position 1x8s; demi-plie 4x8 @ 90; releve 4x8 @ 96; drink-break 40s
drills: tendu 4x8 @ 92; spotting 1x6; chasse 4x8 @ 112
skill: passe-balance 2x8s; half-turn-passe 3x3; drink-break 40s; saute 2x8; echappe-jump 2x6 new
combination: jazz-box 4x8 @ 112; harbour-phrase 4x8 @ 112; freeze-in-a-picture 2 min
cool-down: cool-sway 4x8 @ 76; low-lunge-stretch 1x15s; butterfly 1x20s; seated-fold 1x20s; shell-rest 30s; wave-breath 60s
closing: praise-round 40s; home-task-talk 45s; opening-reverence 30s

= Undertow leaps | dance | 45 min | ages 10 11 12 12 13 | grade dusk
opening: opening-reverence 40s
safety: safety-and-space-talk 60s
warm-up: travelling-walks 8x8 @ 112; step-touch 8x8 @ 112; skips 8x8 @ 112; gallops 4x8 @ 120
mobilise: isolations-shoulders 4x8 @ 96; isolations-hips 4x8 @ 96; spine-roll 1x5; leg-swings 1x10; walking-lunge-reach 1x8; straight-leg-raises 1x8
basics: demi-plie 4x8 @ 92; plie-second 4x8 @ 92; releve 4x8 @ 96; tendu 8x8 @ 100; tendu-side 4x8 @ 100; degage 4x8 @ 108; drink-break 40s
drills: grand-battement 2x6; chasse 4x8 @ 120; saute 2x8; temps-leve 2x4
skill: step-leap 3x3; drink-break 60s; pas-de-chat 3x2 new
strength: side-leg-lifts 2x10; clamshells 2x10; plank-on-elbows 2x30s; drink-break 40s
combination: lantern-phrase 8x8 @ 116; tidal-phrase 8x8 @ 108
cool-down: cool-sway 4x8 @ 76; low-lunge-stretch 1x25s; seated-fold 1x30s; pancake 1x30s; calf-stretch-wall 1x20s; body-scan 2 min
closing: praise-round 60s; home-task-talk 60s; opening-reverence 40s

= Balances and long lines | dance | 35 min | ages 9 10 10 11 | grade afternoon
opening: opening-reverence 40s
safety: safety-and-space-talk 60s
warm-up: march-in-time 8x8 @ 112; step-touch 8x8 @ 112; skips 4x8 @ 112
mobilise: arm-waves 4x8 @ 96; isolations-ribs 2x8 @ 96; hip-circles 1x6; spine-roll 1x4; ankle-rocks 1x8
basics: first-position 1x8s; demi-plie 4x8 @ 88; tendu 4x8 @ 92; tendu-back 4x8 @ 92; releve 4x8 @ 92; drink-break 40s
drills: coupe-balance 4x8 @ 80; degage 4x8 @ 104; rond-de-jambe 4x8 @ 88
skill: passe-balance 2x10s; arabesque-dance 3x2 new; spine-roll 1x3; soutenu-turn 2x3; drink-break 40s; saute 2x8; pas-de-chat 2x4
combination: ballet-phrase 4x8 @ 96; tidal-phrase 8x8 @ 108
cool-down: cool-sway 4x8 @ 72; seated-port-de-bras 2x8 @ 76; seated-fold 1x20s; figure-four-lying 1x20s; shell-rest 30s; wave-breath 60s
closing: home-task-talk 50s; opening-reverence 40s

= Street steps, all together | dance | 30 min | ages 8 9 10 11 12 | grade noon | along
opening: hello-circle 40s
safety: safety-and-space-talk 60s
warm-up: groove-bounce 8x8 @ 104; step-touch 8x8 @ 104; march-in-time 8x8 @ 104; star-jumps 2x10
mobilise: isolations-head 4x8 @ 92; isolations-shoulders 4x8 @ 92; isolations-ribs 4x8 @ 92; isolations-hips 4x8 @ 92; side-bends 1x8; hip-circles 1x6; drink-break 40s
drills: two-step 8x8 @ 104; grapevine 4x8 @ 104; ball-change 4x8 @ 104; kick-ball-change 4x8 @ 104 new; slide-and-drag 4x8 @ 100
skill: wave-arms-street 4x8 @ 92; body-roll 4x8 @ 88; drink-break 40s; top-rock 4x8 @ 104
combination: tidal-phrase 8x8 @ 108 new; tidal-phrase 8x8 @ 108; drink-break 40s; mirror-dance 3 min; freeze-in-a-picture 3 min
cool-down: cool-sway 4x8 @ 76; low-lunge-stretch 1x15s; seated-fold 1x20s; butterfly 1x20s; slow-breathing 60s
closing: praise-round 60s; home-task-talk 40s; wave-goodbye 30s

= Sunday stretch and dance | dance | 25 min | ages 7 8 9 | grade sunrise
opening: opening-reverence 30s
safety: safety-and-space-talk 45s
warm-up: march-in-time 4x8 @ 108; step-touch 4x8 @ 108; skips 4x8 @ 108
mobilise: spine-roll 1x4; hip-circles 1x6; butterfly-flaps 1x12; leg-swings 1x8; feet-point-flex 4x8 @ 96
basics: second-position 2x8 @ 90; plie-second 2x8 @ 90; releve 4x8 @ 92; drink-break 30s
drills: chasse 4x8 @ 112; tendu 4x8 @ 92
skill: saute 2x6; grand-battement 3x4
combination: harbour-phrase 8x8 @ 108; mirror-dance 2 min; ballet-run-and-pose 90s
cool-down: cool-sway 2x8 @ 76; low-lunge-stretch 1x15s; pancake 1x20s; butterfly 1x15s; shell-rest 30s; wave-breath 60s
closing: home-task-talk 40s; opening-reverence 30s

= A phrase that grows | dance | 50 min | ages 10 10 11 12 | grade afternoon
opening: opening-reverence 40s
safety: safety-and-space-talk 60s
warm-up: travelling-walks 8x8 @ 110; groove-bounce 8x8 @ 104; grapevine 8x8 @ 108; march-in-time 8x8 @ 116; skips 4x8 @ 112
mobilise: isolations-head 4x8 @ 88; isolations-ribs 4x8 @ 92; spine-roll 1x5; walking-lunge-reach 1x10; leg-swings 1x10; drink-break 40s
basics: demi-plie 4x8 @ 90; tendu 8x8 @ 96; releve 4x8 @ 96; arms-first 4x8 @ 84
drills: pas-de-bourree 2x4; soutenu-turn 2x3; saute 2x8; drink-break 40s
combination: lantern-phrase 8x8 @ 112 learn 2 @ 84 new; drink-break 60s; lantern-phrase 8x8 @ 116; tidal-phrase 8x8 @ 112; mirror-dance 2 min; drink-break 40s; lantern-phrase 8x8 @ 120
strength: calf-raises-dance 2x10; dead-bug-taps 2x12; side-leg-lifts 2x10
cool-down: cool-sway 4x8 @ 72; low-lunge-stretch 1x25s; frog-stretch 1x25s; seated-fold 1x30s; calf-stretch-wall 1x20s; body-scan 2 min
closing: praise-round 60s; home-task-talk 60s; opening-reverence 40s

= Lanterns kick | martial-arts | 45 min | ages 7 8 8 9 9 | grade yellow
opening: bow-in 40s
safety: safety-and-space-talk 60s
warm-up: jog-on-the-spot 90s; high-knees 30s; star-jumps 2x10; side-steps 40s; deep-squat 1x8
mobilise: hip-circles 1x6; leg-swings 1x8; hip-opener-kicker 1x8; straight-leg-raises 1x6; arm-circles 1x8
basics: ready-stance 1x10s; horse-stance 2x10s; fighting-stance 2x8s; drink-break 40s
drills: knee-lift-hold 2x5; jab-cross 2x8; low-block 2x8; rising-block 2x8
skill: front-kick 3x6; roundhouse-kick 3x5 new; drink-break 40s
combination: jab-cross-kick 2x4; first-form 4x1; reaction-clap 3 min; stance-caller 2x8; drink-break 30s; jab-cross-kick 3x5
strength: horse-hold-punches 2x12; curl-ups 2x10; drink-break 30s
cool-down: quad-stretch-standing 1x15s; butterfly 1x20s; seated-fold 1x20s; meditation 60s
closing: club-motto 20s; home-task-talk 45s; bow-out 30s

= Little tigers of the quay | martial-arts | 25 min | ages 4 5 5 6 | first grade white-stripe
opening: bow-in 30s
safety: safety-and-space-talk 45s
warm-up: jog-on-the-spot 60s; traffic-light 2 min; star-jumps 1x8
mobilise: arm-circles 1x6; hip-circles 1x4; knee-to-chest-walk 1x6
basics: ready-stance 2x5s; horse-stance 2x6s; fighting-stance 1x5s; drink-break 40s
drills: make-a-fist 1x6; low-block 2x6; jab-cross 2x6; knee-lift-hold 2x3
skill: front-kick 2x4 new
combination: drink-break 30s; colour-call 2 min; stance-caller 2x6
cool-down: butterfly 1x8s; seated-fold 1x8s; shell-rest 15s; balloon-breath 60s
closing: club-motto 20s; home-task-talk 40s; bow-out 30s

= Forms and blocks | martial-arts | 40 min | ages 9 10 11 11 | grade green-stripe
opening: bow-in 40s
safety: safety-and-space-talk 60s
warm-up: jog-on-the-spot 2 min; star-jumps 2x12; high-knees 40s; lunge-steps 1x10
mobilise: shoulder-rolls 1x8; arm-circles 1x8; trunk-twists 1x10; hip-circles 1x8; leg-swings 1x8
basics: front-stance 2x8s; back-stance 2x8s; horse-stance 2x15s; drink-break 40s
drills: stance-walk 2x6; turn-in-stance 2x4; low-block 2x8; middle-block 2x8; knife-hand-block 2x6
combination: block-chain 3x2; second-form 3x1; drink-break 60s; third-form 2x1 new; block-counter 2x5; punch-kick-three 2x4
strength: finger-spread 1x10; press-up 2x8; curl-ups 2x12
cool-down: arm-across 1x15s; low-lunge-stretch 1x20s; figure-four-lying 1x20s; meditation 2 min
closing: term-review 40s; home-task-talk 50s; bow-out 40s

= Jumping kicks | martial-arts | 60 min | ages 11 12 12 13 | grade purple
opening: bow-in 40s
safety: safety-and-space-talk 60s
warm-up: jog-on-the-spot 2 min; high-knees 40s; heel-kicks 40s; side-steps 60s; ski-jumps 30s; deep-squat 1x12
mobilise: ankle-rocks 1x10; hip-circles 1x8; leg-swings 1x10; hip-opener-kicker 1x10; straight-leg-raises 1x10; arm-circles 1x8; drink-break 40s
basics: landing-position 2x5; fighting-stance 2x8s; front-stance 2x10s
drills: chair-kicks 2x6; knee-strike 2x8; straight-jump 2x5
skill: front-kick 2x8; side-kick 2x6; jump-front-kick 3x4; drink-break 60s; jump-side-kick 3x3 new; back-kick 2x6
combination: kick-chain 2x3; shadow-round 90s; drink-break 40s; fourth-form 2x1
strength: squat-kicks 2x10; plank-on-elbows 2x40s; single-leg-hip-lift 2x10
cool-down: quad-stretch-standing 1x25s; low-lunge-stretch 1x30s; butterfly 1x30s; seated-fold 1x30s; supine-twist 1x20s; meditation 2 min
closing: praise-round 60s; home-task-talk 60s; bow-out 40s

= Falling well | martial-arts | 45 min | ages 9 9 10 11 | grade green-stripe
opening: bow-in 40s
safety: safety-and-space-talk 60s
warm-up: jog-on-the-spot 90s; side-steps 40s; star-jumps 2x10; tag-the-knee 2 min
mobilise: neck-nods 1x8; shoulder-rolls 1x8; cat-and-cow 1x8; trunk-twists 1x8; wrist-wake-up 1x8; hip-circles 1x6; drink-break 40s
basics: ready-stance 1x10s; horse-stance 2x12s
drills: tuck-rock 2x8; side-breakfall 2x5; back-breakfall 2x5
skill: get-up-safe 2x4 new; drink-break 40s
combination: jab-cross 2x10; reverse-punch 2x8; punch-kick-three 2x5; reaction-clap 3 min; second-form 2x1; block-counter 2x5
strength: curl-ups 2x12; hip-lift 2x12; bird-dog-hold 2x8s; drink-break 30s
cool-down: seated-fold 1x20s; figure-four-lying 1x20s; supine-twist 1x20s; shell-rest 30s; meditation 90s
closing: club-motto 20s; home-task-talk 45s; bow-out 30s

= Twenty minutes of stances | martial-arts | 20 min | ages 6 7 8 | grade white-stripe | along
opening: bow-in 20s
safety: safety-and-space-talk 40s
warm-up: jog-on-the-spot 60s; star-jumps 2x8; high-knees 20s
mobilise: arm-circles 1x6; hip-circles 1x5; leg-swings 1x6; ankle-rocks 1x6
basics: ready-stance 2x6s; horse-stance 2x10s; fighting-stance 2x6s
drills: jab-cross 2x8; low-block 2x8; rising-block 2x8; knee-lift-hold 2x4
combination: drink-break 20s; stance-caller 3x8; colour-call 90s; count-to-ten 2x2
cool-down: quad-stretch-standing 1x10s; butterfly 1x10s; seated-fold 1x10s; meditation 40s
closing: home-task-talk 30s; bow-out 20s
`;
