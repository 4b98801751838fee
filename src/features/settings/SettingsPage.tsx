'use client';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { useEffect } from 'react';
import { currencyCode } from '@/core/fields';
import { HOUSE_RULES, type HouseRule } from '@/core/houseRules';
import { changedRule, ruleValue } from '@/model/settings/houseRules';
import { Choices } from '@/ui/Choices';
import { KeptText } from '@/ui/KeptText';
import { ReadingField } from '@/ui/ReadingField';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { TopBar } from '../top-bar/TopBar';
import { useGoneTo } from '../workshop/useGoneTo';
import { useSettings, useWorkshop } from '../workshop/WorkshopProvider';
import { SETTING_SECTIONS } from './settingWays';

const People = dynamic(() => import('./People').then((module) => module.People), { ssr: false });
const TensionMeter = dynamic(() => import('./TensionMeter').then((module) => module.TensionMeter), { ssr: false });
const StalePrice = dynamic(() => import('./StalePrice').then((module) => module.StalePrice), { ssr: false });
const Baths = dynamic(() => import('./Baths').then((module) => module.Baths), { ssr: false });

function RuleRow({ rule }: { rule: HouseRule }) {
  const settings = useSettings();
  const workshop = useWorkshop();
  const value = ruleValue(settings, rule.key);
  const chosen = rule.options.find((option) => option.value === value);
  return (
    <Box component="li" id={rule.key} sx={{ py: 1.75, scrollMarginTop: 70 }}>
      <Typography variant="h3" sx={{ mb: 0.75 }}>
        {rule.title}
      </Typography>
      <Choices
        label={rule.title}
        hideLabel
        options={rule.options.map((option) => ({ id: option.value, label: option.label }))}
        value={value}
        onChoose={(next) => void workshop.changeSettings((kept) => changedRule(kept, rule.key, next))}
      />
      <Typography sx={{ mt: 0.75, color: 'text.secondary' }}>{chosen?.words}</Typography>
    </Box>
  );
}

/** House rules: the schools of the trade, money and the workshop, in one place and in plain words. */
export function SettingsPage() {
  const settings = useSettings();
  const workshop = useWorkshop();
  useEffect(() => {
    document.title = 'House rules · Ergasto';
  }, []);
  useGoneTo();
  return (
    <>
      <TopBar>
        <Box component="h1" sx={{ m: 0, fontSize: '1.1rem', fontWeight: 640 }}>
          House rules
        </Box>
      </TopBar>
      <Box component="main" sx={{ px: { xs: 2, md: 5 }, py: { xs: 2, md: 4 }, maxWidth: 900, mx: 'auto' }}>
        <Section title="How this shop works">
          <Typography sx={{ maxWidth: '62ch', mb: 1 }}>
            Good mechanics differ on these. Whichever is chosen here decides, and every verdict that hangs on one names
            it.
          </Typography>
          <RuledList>
            {HOUSE_RULES.map((rule) => (
              <RuleRow key={rule.key} rule={rule} />
            ))}
          </RuledList>
        </Section>
        <Section id="money" title={SETTING_SECTIONS.money.title}>
          <Box data-readings sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'start' }}>
            <ReadingField
              label="Your own hour counts"
              kind="money"
              unit={settings.currency}
              value={settings.labourPerHour}
              onCommit={(labourPerHour) => void workshop.changeSettings({ labourPerHour })}
              help="Nought: your time is not counted"
              width={220}
            />
            <ReadingField
              label="A customer pays an hour"
              kind="money"
              unit={settings.currency}
              value={settings.customerPerHour}
              onCommit={(customerPerHour) => void workshop.changeSettings({ customerPerHour })}
              help="For estimates"
              width={220}
            />
            <KeptText
              label="Currency"
              value={settings.currency}
              refuse={(text) => (currencyCode.safeParse(text).success ? null : 'three capitals, for example EUR')}
              onKeep={(currency) => void workshop.changeSettings({ currency })}
              width={140}
            />
          </Box>
          <Typography variant="body2" sx={{ color: 'text.secondary', mt: 1.5, maxWidth: '62ch' }}>
            Another currency changes the sign before every sum, never the sum.
          </Typography>
        </Section>
        <StalePrice />
        <People />
        <Baths />
        <TensionMeter />
        <Section id="workshop" title={SETTING_SECTIONS.workshop.title}>
          <KeptText
            label="Its name, on sheets and estimates"
            value={settings.name}
            onKeep={(name) => void workshop.changeSettings({ name })}
            width={360}
          />
          <Box sx={{ mt: 1.5 }}>
            <FormControlLabel
              control={
                <Checkbox
                  checked={settings.letterKeys}
                  onChange={(event) => void workshop.changeSettings({ letterKeys: event.target.checked })}
                />
              }
              label="Single-letter keys are heard"
            />
          </Box>
        </Section>
      </Box>
    </>
  );
}
